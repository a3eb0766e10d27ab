import Box from '@mui/material/Box';
import { lazy, Suspense, type ReactNode } from 'react';
import type { Question, Tally } from '../../api/shapes';
import { people, percent } from '../words';
import { Bars } from './Bars';
import { Groups, type GroupActs } from './Groups';
import { Histogram } from './Histogram';
import { Places } from './Places';
import { TableOf } from './TableOf';

// The cloud brings a library along, and the heat map a page.
const Cloud = lazy(() => import('./Cloud').then(({ Cloud }) => ({ default: Cloud })));
const Heat = lazy(() => import('./Heat').then(({ Heat }) => ({ default: Heat })));

interface Props {
  question: Question;
  tally: Tally;
  /** Whether what is right is marked, where it is known. */
  tell: boolean;
  /** Numbers in place of the picture. */
  asTable: boolean;
  /** What staff do with written answers. */
  acts?: GroupActs;
}

/** What a round came to: a picture of it, or the same as a table. */
export function Results({ question, tally, tell, asTable, acts }: Props) {
  const { count } = tally;
  const told = !('options' in tally || tally.groups || tally.places || tally.points || tally.bins || tally.spots);
  const right = tell && tally.right !== null ? `${percent(tally.right)} right` : null;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25, minWidth: 0 }}>
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
        {[count === 0 ? 'Nobody has answered yet' : `${people(count)} answered`, right]
          .filter((words) => words !== null)
          .join(' · ')}
      </Box>
      {told && count > 0 ? (
        <Box>So few answers are not broken down: one would know who gave which.</Box>
      ) : count === 0 ? null : asTable ? (
        <TableOf {...{ question, tally, tell }} />
      ) : (
        <Suspense fallback={null}>{pictureOf({ question, tally, tell, acts })}</Suspense>
      )}
    </Box>
  );
}

function pictureOf({ question, tally, tell, acts }: Omit<Props, 'asTable'>): ReactNode {
  switch (question.kind) {
    case 'order':
      return <Places {...{ question, tally, tell }} />;
    case 'short':
      return <Groups groups={tally.groups ?? []} acts={acts} />;
    case 'cloud':
      return (
        <>
          <Cloud groups={tally.groups ?? []} />
          {acts && <Groups groups={tally.groups ?? []} acts={acts} />}
        </>
      );
    case 'scale':
    case 'number':
      return <Histogram {...{ question, tally }} />;
    case 'spot':
      return <Heat {...{ question, tally, tell }} />;
    default:
      return <Bars {...{ question, tally, tell }} />;
  }
}
