import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Asleep } from '../../parts/frame/asleep';
import { BELOW, PutAway } from '../../parts/frame/FromBelow';
import type { Width } from './useRegions';

interface Props {
  name: string;
  /** What is new in it while it is folded. */
  news?: string | null;
  side: 'left' | 'right';
  /** Where there is room for it beside the paper: how wide it is. */
  width: Width;
  /** px or % that it takes, by its width. */
  takes: Record<Exclude<Width, 'folded'>, number | string>;
  /** Which widths there are besides folded. */
  widens?: boolean;
  onWidth: (width: Width) => void;
  /** Where there is no room for it beside the paper: whether it is called from below. */
  below: boolean | null;
  onPutAway: () => void;
  children: ReactNode;
}

/**
 * A region beside the paper that each person may fold to a strip, or widen. Folded, it still tells what is new. Where there is little room
 * it comes up from below when it is called. What was begun in it is still there when it is folded, put away, or the device is turned.
 */
export function Region({ name, news, side, width, takes, widens, onWidth, below, onPutAway, children }: Props) {
  const folded = below === null && width === 'folded';
  const hidden = folded || below === false;
  const border = side === 'left' ? { borderRight: 1 } : { borderLeft: 1 };
  const beside = {
    flex: 'none',
    width: width === 'folded' ? 40 : takes[width],
    minHeight: 0,
    display: 'flex',
    flexDirection: 'column',
    bgcolor: 'background.paper',
    ...border,
    borderColor: 'divider',
  } as const;
  return (
    <Box
      style={below === false ? { display: 'none' } : undefined}
      sx={below === null ? beside : BELOW}
      onKeyDown={(event) => below && event.key === 'Escape' && !event.defaultPrevented && onPutAway()}
    >
      {folded && <Strip name={name} news={news} onOpen={() => onWidth('usual')} />}
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }} style={hidden ? { display: 'none' } : undefined}>
        <Asleep value={hidden}>{children}</Asleep>
      </Box>
      {below === null && !folded && <Edge {...{ name, side, width, widens, onWidth }} />}
      {below && <PutAway onClose={onPutAway} />}
    </Box>
  );
}

/** What is left of a folded region. */
function Strip({ name, news, onOpen }: Pick<Props, 'name' | 'news'> & { onOpen: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      aria-expanded={false}
      onClick={onOpen}
      sx={{
        flex: 1,
        p: 1,
        font: 'inherit',
        fontWeight: news ? 700 : 400,
        color: 'inherit',
        bgcolor: news ? 'veranda.wash' : 'background.paper',
        border: 0,
        cursor: 'pointer',
        writingMode: 'vertical-rl',
        textAlign: 'left',
      }}
    >
      {name}
      {news && `, ${news}`}
    </Box>
  );
}

/** Below a region: how wide it is. */
function Edge({ name, side, width, widens, onWidth }: Pick<Props, 'name' | 'side' | 'width' | 'widens' | 'onWidth'>) {
  return (
    <Box
      sx={{
        flex: 'none',
        display: 'flex',
        justifyContent: side === 'left' ? 'flex-start' : 'flex-end',
        borderTop: 1,
        borderColor: 'divider',
        '& button': {
          font: 'inherit',
          fontSize: 13,
          color: 'text.secondary',
          minHeight: 28,
          px: 1.25,
          border: 0,
          bgcolor: 'transparent',
          cursor: 'pointer',
        },
      }}
    >
      {widens && (
        <Box component="button" type="button" onClick={() => onWidth(width === 'wide' ? 'usual' : 'wide')}>
          {width === 'wide' ? 'Narrower' : 'Wider'}
        </Box>
      )}
      <Box component="button" type="button" onClick={() => onWidth('folded')}>
        Fold the {name.toLowerCase()}
      </Box>
    </Box>
  );
}
