import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { AnswerGroup } from '../../api/shapes';
import { MenuWord } from '../../parts/fields/MenuWord';
import { Words } from '../../parts/words/Words';
import { Bar } from './Bars';

/** What staff do with a group of written answers. */
export interface GroupActs {
  /** Puts one to another; null puts it back to where it was by itself. */
  group: (key: string, to: string | null) => void;
  name: (key: string, words: string) => void;
  strike: (key: string) => void;
}

const WHY = { spelling: 'written otherwise', slip: 'taken for a slip', staff: 'put here by staff' } as const;

/** Written answers, those that are alike together, and why they are taken to be. */
export function Groups({ groups, acts }: { groups: AnswerGroup[]; acts?: GroupActs }) {
  const [naming, setNaming] = useState<string | null>(null);
  const most = Math.max(1, ...groups.map(({ count }) => count));
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}>
      {groups.map((group) => (
        <Box component="li" key={group.key}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            {naming === group.key && acts ? (
              <Words
                label="Called"
                value={group.words}
                most={500}
                onSave={(words) => {
                  acts.name(group.key, words);
                  setNaming(null);
                }}
              />
            ) : (
              <Box component="span" dir="auto" sx={{ flex: 1, overflowWrap: 'anywhere', fontWeight: 650 }}>
                {group.words}
              </Box>
            )}
            <strong>{group.count}</strong>
            {acts && <Menu {...{ group, groups, acts }} onName={() => setNaming(group.key)} />}
          </Box>
          <Bar share={group.count / most} />
          {group.texts.some(({ why }) => why) && (
            <Box sx={{ fontSize: 13, color: 'text.secondary', overflowWrap: 'anywhere' }}>
              with{' '}
              {group.texts
                .filter(({ why }) => why)
                .map(({ text, why }) => `“${text}” (${WHY[why!]})`)
                .join(', ')}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}

interface MenuProps {
  group: AnswerGroup;
  groups: AnswerGroup[];
  acts: GroupActs;
  onName: () => void;
}

/** Others that one may be put to, at most. */
const MOST_OFFERED = 12;

function Menu({ group, groups, acts, onName }: MenuProps) {
  const apart = [
    ...new Set(group.texts.filter(({ why }) => why === 'slip' || why === 'staff').map(({ text }) => text)),
  ];
  return (
    <MenuWord label="Change" hint={`Change “${group.words}”`}>
      {(close) => [
        <MenuItem key="name" onClick={() => close(onName)}>
          Call it otherwise
        </MenuItem>,
        ...groups
          .filter(({ key }) => key !== group.key)
          .slice(0, MOST_OFFERED)
          .map(({ key, words }) => (
            <MenuItem key={`to-${key}`} onClick={() => close(() => acts.group(group.key, key))}>
              Put to “{words.slice(0, 40)}”
            </MenuItem>
          )),
        ...apart.map((text) => (
          <MenuItem key={`apart-${text}`} onClick={() => close(() => acts.group(keyOf(text), keyOf(text)))}>
            Split off “{text.slice(0, 40)}”
          </MenuItem>
        )),
        <MenuItem key="strike" onClick={() => close(() => acts.strike(group.key))}>
          Take it from view
        </MenuItem>,
      ]}
    </MenuWord>
  );
}

/** A first guess at the key of a text; the server knows the rest, see `Core::Polls::Likeness.key`. */
const keyOf = (text: string) => text.trim();
