import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { ORDERS, SHOWS, USUAL, type Arrangement } from './arranging';

const words = ({ show, order }: Arrangement) =>
  [SHOWS.find(([one]) => one === show)?.[1], ORDERS.find(([one]) => one === order)?.[1]].join(', ');

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
        title={usual ? 'Whom the bench shows, and in which order' : `The bench shows: ${words(arrangement)}`}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        variant={usual ? 'outlined' : 'contained'}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ flex: 'none' }}
      >
        Order
      </Button>
      {anchor && (
        <Menu open anchorEl={anchor} onClose={() => setAnchor(null)}>
          {SHOWS.map(([show, says]) => (
            <MenuItem
              key={show}
              role="menuitemradio"
              aria-checked={arrangement.show === show}
              selected={arrangement.show === show}
              onClick={() => choose({ show })}
            >
              {says}
            </MenuItem>
          ))}
          <Divider />
          {ORDERS.map(([order, says]) => (
            <MenuItem
              key={order}
              role="menuitemradio"
              aria-checked={arrangement.order === order}
              selected={arrangement.order === order}
              onClick={() => choose({ order })}
            >
              {says}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}
