import Button from '@mui/material/Button';
import { useRef } from 'react';

const ACCEPT = '.pdf,.pptx,.odp,.docx,.odt,.png,.jpg,.jpeg,.webp,.gif,.svg,.mp3,.ogg,.wav,.mp4,.webm';

interface Props {
  name?: string;
  accept?: string;
  several?: boolean;
  primary?: boolean;
  onFiles: (files: File[]) => void;
}

/** A button that lets one choose files. */
export function BringFiles({ name = 'Bring files', accept = ACCEPT, several = true, primary = false, onFiles }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        variant={primary ? 'contained' : 'outlined'}
        color={primary ? 'primary' : 'inherit'}
        onClick={() => input.current?.click()}
      >
        {name}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={name}
        multiple={several}
        accept={accept}
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </>
  );
}
