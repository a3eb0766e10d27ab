import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, patch, remove } from '../../api/http';
import type { BankPoll, Question } from '../../api/shapes';
import { Words } from '../../parts/words/Words';
import { KIND_WORDS } from '../words';

interface Props {
  /** Takes a copy of one. */
  onTake: (question: Question) => void;
}

/** Polls that were kept to be used again, and those that lessons have; found by their words and labels. */
export function Bank({ onTake }: Props) {
  const [search, setSearch] = useState('');
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: ['polls', search],
    queryFn: () => get<{ polls: BankPoll[] }>(`/api/polls?q=${encodeURIComponent(search)}`),
    placeholderData: (before) => before,
  });
  const again = () => client.invalidateQueries({ queryKey: ['polls'] });
  const polls = data?.polls ?? [];
  const kept = polls.filter(({ lesson }) => !lesson);
  return (
    <Box
      component="section"
      aria-label="The bank"
      sx={{ display: 'flex', flexDirection: 'column', gap: 1, minHeight: 0 }}
    >
      <TextField
        size="small"
        label="Find a poll"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 100 } }}
      />
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', overflowY: 'auto', flex: 1 }}>
        {data && polls.length === 0 && (
          <Box component="li" sx={{ color: 'text.secondary', py: 1 }}>
            {search ? 'No poll is like that.' : 'Nothing is kept yet. Keep a poll here to use it again.'}
          </Box>
        )}
        {polls.map((poll) => (
          <Row
            key={`${poll.lesson ?? ''} ${poll.id}`}
            poll={poll}
            before={kept[kept.indexOf(poll) - 1]}
            onTake={() => onTake(poll.question)}
            onChanged={again}
          />
        ))}
      </Box>
    </Box>
  );
}

interface RowProps {
  poll: BankPoll;
  /** The one that is kept in front of it. */
  before: BankPoll | undefined;
  onTake: () => void;
  onChanged: () => Promise<void>;
}

function Row({ poll: { id, course, question, labels, lesson }, before, onTake, onChanged }: RowProps) {
  const [labelling, setLabelling] = useState(false);
  const path = `/api/courses/${course}/polls/${id}`;
  const change = (facts: object) => void patch(path, facts).then(onChanged);
  return (
    <Box component="li" sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box dir="auto" sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>
            {question.text || 'Not written yet'}
          </Box>
          <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
            {[KIND_WORDS[question.kind], lesson && `in “${lesson}”`, ...labels].filter(Boolean).join(' · ')}
          </Box>
        </Box>
        <Button onClick={onTake}>Take it</Button>
      </Box>
      {!lesson && (
        <Box sx={{ display: 'flex', gap: 0.5, mt: 0.5, alignItems: 'center' }}>
          {labelling ? (
            <Words
              label="Labels, with commas between"
              most={200}
              value={labels.join(', ')}
              onSave={(text) => {
                setLabelling(false);
                change({
                  labels: text
                    .split(',')
                    .map((label) => label.trim().slice(0, 40))
                    .filter(Boolean)
                    .slice(0, 10),
                });
              }}
            />
          ) : (
            <Button size="small" variant="text" onClick={() => setLabelling(true)}>
              Labels
            </Button>
          )}
          {before && (
            <Button size="small" variant="text" onClick={() => change({ before: before.id })}>
              Up
            </Button>
          )}
          <Button size="small" variant="text" onClick={() => void remove(path).then(onChanged)}>
            Take out of the bank
          </Button>
        </Box>
      )}
    </Box>
  );
}
