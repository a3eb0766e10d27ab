import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import Tooltip from '@mui/material/Tooltip';
import { useState, type ReactNode } from 'react';

interface Props {
  label: string;
  hint: string;
  picked?: boolean;
  children: (close: (then: () => void) => void) => ReactNode;
}

/** A word that opens a short list of others. */
export function MenuWord({ label, hint, picked, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (then: () => void) => {
    setAnchor(null);
    then();
  };
  return (
    <>
      <Tooltip title={hint}>
        <Button
          className={picked ? 'picked' : undefined}
          aria-haspopup="menu"
          aria-label={hint === label ? undefined : `${hint}: ${label}`}
          onClick={(event) => setAnchor(event.currentTarget)}
        >
          {label}
        </Button>
      </Tooltip>
      <Menu
        anchorEl={anchor}
        open={!!anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {children(close)}
      </Menu>
    </>
  );
}
