import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { MOST_AT_ONCE, POLL_LIMITS } from '../../api/contracts';
import type { StagedPoll } from '../../api/shapes';
import { useBoard, useLive, usePlace } from '../../live/hooks';
import { newId } from '../../live/LiveClient';
import { openRound, standing, type PollState } from '../../live/poll';
import { boardStream, placeStream } from '../../live/streams';
import { useSaving } from '../../parts/hooks/useSaving';
import { useWide } from '../../parts/hooks/useWide';
import { Flow, Gain } from '../results/Flow';
import { Results } from '../results/Results';
import { WhoAnswered } from './WhoAnswered';
import { lastTwo, usePollActs, usePollLive, useResults } from '../usePolls';
import { isWritten, nameless, people } from '../words';
import { Paper } from './Paper';

interface Props {
  sitting: string;
  poll: StagedPoll;
  state: PollState;
  /** The place one is in. */
  at: string;
  onLeave: () => void;
}

/** For staff, in place of the board: what a poll came to, a round alone or two side by side, before anybody else sees it. */
export function PollPage({ sitting, poll: { id, question }, state, at, onLeave }: Props) {
  const acts = usePollActs(sitting);
  const client = useLive();
  const { save, says } = useSaving();
  const live = usePollLive(sitting, id, state);
  const [last, before] = lastTwo(state);
  const [wanted, setAsTable] = useState<boolean | null>(null);
  const wide = useWide();
  const [chosen, setChosen] = useState<number | null>(null);
  const [beside, setBeside] = useState(true);
  const [tell, setTell] = useState(true);
  const [changed, setChanged] = useState(0);
  const [who, setWho] = useState(false);
  const round = chosen ?? last;
  const open = openRound(state);
  // While a round is open it is looked at by itself.
  const since = beside && round === last && !open ? before : undefined;
  const coming = open !== undefined && round === open.round;
  const asked = useResults(
    sitting,
    id,
    coming ? undefined : round,
    since,
    `${state.rounds.map(({ closed_at }) => closed_at).join()} ${changed}`,
  );
  const results = coming ? live?.results : asked.data;
  const asTable = wanted ?? (!wide && !!results?.moves?.ways);
  const anew = () => setChanged((n) => n + 1);
  const shown = usePlace(sitting, at)?.shown;
  const board = useBoard(shown?.board);
  // On a page of its own, behind the last one, which comes on show; spots on the very page that was asked about.
  const toBoard = async () => {
    if (!shown || !board || !results) return;
    const spots = question.kind === 'spot';
    const { asMarks } = await import('./asMarks');
    const page = spots ? shown.page : newId();
    const stream = boardStream(shown.board);
    if (!spots) {
      const added = await client.do('board.add_page', stream, { page, after: board.pages.at(-1)! });
      if (!added.ok) return;
    }
    const put = await client.do('board.put', stream, {
      marks: (await asMarks(question, results, page)).slice(0, MOST_AT_ONCE.put),
    });
    if (!put.ok) return;
    await client.do('class.show', placeStream(sitting, at), { board: shown.board, page });
    onLeave();
  };
  const graded = question.right !== undefined;
  return (
    <Paper label={`Results: ${question.text}`}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <Box sx={{ flex: 1, minWidth: 220 }}>
          <Box component="h2" dir="auto" sx={{ m: 0, typography: 'h2', overflowWrap: 'anywhere' }}>
            {question.text}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
            {since !== undefined && results?.moves
              ? `the same ${people(results.moves.count)} in both rounds; `
              : round !== undefined && `round ${round}; `}
            {state.shown ? 'shown to all' : 'sealed, only staff see this'}
            {nameless(question) && '; no names'}
          </Box>
        </Box>
        <Button aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
          {asTable ? 'As a picture' : 'As a table'}
        </Button>
        <Button onClick={onLeave}>Back</Button>
      </Box>
      {results &&
        (since !== undefined && results.moves ? (
          <>
            {results.moves.ways ? (
              <Flow {...{ question, results, tell: true, asTable }} />
            ) : (
              <Beside {...{ question, results, asTable }} />
            )}
            <Gain results={results} />
          </>
        ) : (
          <Results
            {...{ question, tally: results.tally, asTable }}
            tell
            acts={
              isWritten(question.kind)
                ? {
                    group: (key, to) => void acts.group(id, key, to).then(anew),
                    name: (key, words) => void acts.nameGroup(id, key, words).then(anew),
                    strike: (key) => void acts.strike(id, key, true).then(anew),
                  }
                : undefined
            }
          />
        ))}
      {results?.struck && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', fontSize: 14 }}>
          Taken from view:
          {results.struck.map((key) => (
            <Button key={key} size="small" onClick={() => void acts.strike(id, key, false).then(anew)}>
              Put back “{key.slice(0, 30)}”
            </Button>
          ))}
        </Box>
      )}
      {/* In reach however long the page is. */}
      <Box
        sx={{
          ...{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', py: 1 },
          ...{ position: 'sticky', bottom: { xs: -12, md: -24 }, bgcolor: 'background.paper' },
        }}
      >
        {round !== undefined && question.results !== 'never' && (
          <Button
            variant="contained"
            color="primary"
            disabled={acts.show.isPending || (!state.shown && !results?.tally.count)}
            onClick={() =>
              state.shown
                ? acts.seal(id)
                : acts.show.mutate({ poll: id, round, ...(since !== undefined && { since }), tell: tell && graded })
            }
          >
            {state.shown ? 'Seal it' : 'Show it to all'}
          </Button>
        )}
        {graded && !state.shown && (
          <Button aria-pressed={tell} onClick={() => setTell(!tell)}>
            {tell ? 'With the right answer' : 'Without the right answer'}
          </Button>
        )}
        {before !== undefined && round === last && !open && (
          <Button aria-pressed={beside} onClick={() => setBeside(!beside)}>
            {beside ? `Round ${last} alone` : `Beside round ${before}`}
          </Button>
        )}
        {open ? (
          <Button onClick={() => acts.close(id, open, at)}>Close</Button>
        ) : (
          state.rounds.length < POLL_LIMITS.rounds! && (
            <Button onClick={() => void acts.open(id, state)}>Round {state.rounds.length + 1}</Button>
          )
        )}
        {round !== undefined && !nameless(question) && (
          <Button aria-expanded={who} onClick={() => setWho(!who)}>
            Who answered what
          </Button>
        )}
        <Button onClick={() => save(`/api/classes/${sitting}/polls/${id}.csv`)}>Save as CSV</Button>
        {shown &&
          results &&
          (question.kind !== 'spot' || question.board === shown.board) &&
          results.tally.count > 0 && <Button onClick={() => void toBoard()}>Put it on the board</Button>}
        <span role="status">{says}</span>
      </Box>
      {who && round !== undefined && <WhoAnswered {...{ sitting, poll: id, question, round }} />}
      {state.rounds.length > 1 && (
        <Rounds {...{ state, round }} onRound={setChosen} onClear={(number, on) => acts.clear(id, number, on)} />
      )}
    </Paper>
  );
}

function Beside({
  question,
  results,
  asTable,
}: {
  question: StagedPoll['question'];
  results: import('../../api/shapes').PollResults;
  asTable: boolean;
}) {
  return (
    <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
      {[
        { round: results.since, tally: results.before! },
        { round: results.round, tally: results.tally },
      ].map(({ round, tally }) => (
        <Box key={round}>
          <Box component="h3" sx={{ m: 0, typography: 'h3' }}>
            Round {round}
          </Box>
          <Results {...{ question, tally, asTable }} tell />
        </Box>
      ))}
    </Box>
  );
}

interface RoundsProps {
  state: PollState;
  round: number | undefined;
  onRound: (round: number) => void;
  onClear: (round: number, on: boolean) => void;
}

/** Every round there was. One that is cleared counts no more, and can be taken in again. */
function Rounds({ state, round: looked, onRound, onClear }: RoundsProps) {
  const counted = standing(state).length;
  return (
    <Box
      component="ul"
      aria-label="Rounds"
      sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', gap: 1 }}
    >
      {state.rounds.map(({ round, closed_at, cleared, talk }) => (
        <Box component="li" key={round} sx={{ display: 'flex', alignItems: 'center', gap: 0.5, fontSize: 14 }}>
          <Button size="small" aria-pressed={round === looked} disabled={cleared} onClick={() => onRound(round)}>
            Round {round}
            {talk && ', after talking'}
            {cleared && ', cleared'}
          </Button>
          {closed_at && (cleared || counted > 1) && (
            <Button size="small" variant="text" onClick={() => onClear(round, !cleared)}>
              {cleared ? 'Count it again' : 'Clear'}
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
