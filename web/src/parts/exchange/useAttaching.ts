import { useState } from 'react';
import { Refused } from '../../api/http';
import { upload } from '../../api/upload';

/** A file that goes with the next post. */
export interface Attached {
  /** The material that it has become. */
  id: string;
  name: string;
}

/**
 * Brings a file that was pasted or chosen to a class, to be posted there.
 * @param sitting id of the class
 */
export function useAttaching(sitting: string) {
  const [attached, setAttached] = useState<Attached | null>(null);
  const [says, setSays] = useState<string | null>(null);
  const attach = async (file: File) => {
    setSays(`Bringing “${file.name}”`);
    try {
      setAttached({ id: await upload(file, { sitting }), name: file.name });
      setSays(null);
    } catch (error) {
      setSays(error instanceof Refused ? error.message : 'The upload broke off. Bring the file again.');
    }
  };
  return {
    attached,
    says,
    attach,
    drop: () => (setAttached(null), setSays(null)),
    /** What was not taken in comes back. */
    back: (file: Attached | null) => setAttached(file),
  };
}
