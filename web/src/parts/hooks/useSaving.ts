import { useState } from 'react';
import { saveFile } from '../../api/saveFile';

/** Saves files from the server, and says how that goes. */
export function useSaving() {
  const [says, setSays] = useState<string | null>(null);
  const save = (address: string) => {
    setSays('Making the file');
    saveFile(address).then(
      () => setSays(null),
      (error: Error) => setSays(error.message),
    );
  };
  return { says, save };
}
