import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../../api/http';
import type { FoundBoard } from '../../api/shapes';
import { count, day } from '../words/times';
import { MOST_LISTED } from '../../api/contracts';
import { TheRest } from '../words/TheRest';

type Kind = 'all' | 'templates' | 'slides';

const KINDS: [Kind, string][] = [
  ['all', 'All boards'],
  ['templates', 'Templates'],
  ['slides', 'On slides'],
];

interface Props {
  kind: Kind;
  /** The verb on each row. */
  choose: string;
  onChoose: (board: FoundBoard) => void;
}

/** All boards of one's courses, last used first, found by name, lesson, who drew, or any word on them. */
export function BoardFinder({ kind: first, choose, onChoose }: Props) {
  const [kind, setKind] = useState(first);
  const [search, setSearch] = useState('');
  const boards = useQuery({
    queryKey: ['boards', kind, search],
    queryFn: () => get<FoundBoard[]>(`/api/boards?${new URLSearchParams({ kind, search }).toString()}`),
    placeholderData: (before) => before,
  });
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, minHeight: 0 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <TextField
          size="small"
          label="Find by name, lesson, person or text"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          sx={{ flex: 1, minWidth: 240 }}
        />
        {KINDS.map(([name, says]) => (
          <Button
            key={name}
            aria-pressed={kind === name}
            onClick={() => setKind(name)}
            sx={kind === name ? { bgcolor: 'veranda.wash' } : undefined}
          >
            {says}
          </Button>
        ))}
      </Box>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', overflowY: 'auto' }}>
        {boards.data?.length === 0 && (
          <Box component="li" sx={{ color: 'text.secondary', py: 2 }}>
            No board is like that.
          </Box>
        )}
        {boards.data?.map((board) => (
          <Box
            component="li"
            key={board.id}
            sx={{
              contentVisibility: 'auto',
              containIntrinsicSize: 'auto 110px',
              display: 'flex',
              alignItems: 'center',
              gap: 2,
              py: 1,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Box
              component="img"
              src={`/api/boards/${board.id}/small.svg`}
              alt=""
              loading="lazy"
              sx={{
                width: 112,
                height: 70,
                objectFit: 'contain',
                border: 1,
                borderColor: 'divider',
                borderRadius: 0.75,
              }}
            />
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Box sx={{ fontWeight: 650 }}>
                {board.name}
                {board.template && (
                  <Box component="span" sx={{ fontWeight: 400 }}>
                    {' · template'}
                  </Box>
                )}
              </Box>
              <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
                {board.lesson} · {board.used_at ? `used ${day(board.used_at, 'short')}` : 'never used'} ·{' '}
                {count(board.pages ?? 1, 'page')}, {count(board.marks ?? 0, 'mark')}
              </Box>
              {board.words && (
                <Box sx={{ fontSize: 13, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
                  {board.words.replaceAll('\n', ' · ')}
                </Box>
              )}
            </Box>
            <Button onClick={() => onChoose(board)}>{choose}</Button>
          </Box>
        ))}
        <TheRest count={boards.data?.length ?? 0} most={MOST_LISTED.boards!} what="boards" />
      </Box>
    </Box>
  );
}
