import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { ORDERS, SHOWS, USUAL, type Arrangement } from './arranging';

interface Props {
  arrangement: Arrangement;
  onArrange: (arrangement: Arrangement) => void;
}

/** Whom the bench shows, and in which order. */
export function ArrangeBench({ arrangement, onArrange }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const usual = arrangement.order === USUAL.order && arrangement.show === USUAL.show;
  const choose = (change: Partial<Arrangement>) => {
    setAnchor(null);
    onArrange({ ...arrangement, ...change });
  };
  return (
    <>
      <Button
        title="Whom the bench shows, and in which order"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        variant={usual ? 'outlined' : 'contained'}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ flex: 'none' }}
      >
        {SHOWS.find(([show]) => show === arrangement.show && show !== 'all')?.[1] ?? 'Order'}
      </Button>
      {anchor && (
        <Menu open anchorEl={anchor} onClose={() => setAnchor(null)}>
          {SHOWS.map(([show, words]) => (
            <MenuItem
              key={show}
              role="menuitemradio"
              aria-checked={arrangement.show === show}
              selected={arrangement.show === show}
              onClick={() => choose({ show })}
            >
              {words}
            </MenuItem>
          ))}
          <Divider />
          {ORDERS.map(([order, words]) => (
            <MenuItem
              key={order}
              role="menuitemradio"
              aria-checked={arrangement.order === order}
              selected={arrangement.order === order}
              onClick={() => choose({ order })}
            >
              {words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}
