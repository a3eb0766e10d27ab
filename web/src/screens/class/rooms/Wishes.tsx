import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Author, GroupPlan } from '../../../api/shapes';
import { inWords } from '../../../parts/exchange/audience';
import { firstName } from '../../../parts/words/people';

type Wish = NonNullable<GroupPlan['wishes']>[number];

interface Props {
  /** Those who would be dealt. */
  people: Author[];
  wishes: Wish[];
  onWishes: (wishes: Wish[]) => void;
}

const KINDS: Record<Wish['kind'], string> = {
  together: 'Keep together',
  apart: 'Keep apart',
  each: 'One of them in each room',
  lead: 'One of them leads each room',
  mix: 'Mix those heard much and little',
  level: 'Put those together who were heard as much',
};

/** What is known of people by which they are mixed or levelled. */
const HEARD = 'heard';

const aboutPeople = (kind: Wish['kind']) => kind !== 'mix' && kind !== 'level';

/** What is wished of a deal: the list of it, and the way to add to it. */
export function Wishes({ people, wishes, onWishes }: Props) {
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const [kind, setKind] = useState<Wish['kind']>('together');
  const [chosen, setChosen] = useState<string[]>([]);
  const needs = aboutPeople(kind);
  const add = () => {
    onWishes([...wishes, needs ? { kind, people: chosen } : { kind, by: HEARD }]);
    setChosen([]);
  };
  const said = (wish: Wish) =>
    aboutPeople(wish.kind)
      ? `${KINDS[wish.kind]}: ${inWords((wish.people ?? []).map((id) => firstName(names.get(id) ?? 'somebody')))}`
      : KINDS[wish.kind];
  return (
    <>
      {wishes.length === 0 && (
        <Box sx={{ color: 'text.secondary', mb: 1 }}>None. As few as possible meet again in any case.</Box>
      )}
      <Box component="ul" sx={{ m: 0, mb: 1, p: 0, listStyle: 'none' }}>
        {wishes.map((wish, i) => (
          <Box component="li" key={i} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 36 }}>
            <Box sx={{ flex: 1 }}>{said(wish)}</Box>
            <Button
              size="small"
              aria-label={`Take out: ${said(wish)}`}
              onClick={() => onWishes(wishes.filter((_, other) => other !== i))}
            >
              Out
            </Button>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <TextField
          select
          size="small"
          label="Wish"
          value={kind}
          onChange={({ target }) => setKind(target.value as Wish['kind'])}
          sx={{ flex: '1 1 180px' }}
        >
          {Object.entries(KINDS).map(([one, words]) => (
            <MenuItem key={one} value={one}>
              {words}
            </MenuItem>
          ))}
        </TextField>
        {needs && (
          <TextField
            select
            size="small"
            label="Who"
            value={chosen}
            onChange={({ target }) => setChosen(target.value as unknown as string[])}
            slotProps={{ select: { multiple: true } }}
            sx={{ flex: '2 1 220px' }}
          >
            {people.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
        <Button variant="outlined" disabled={needs && chosen.length < 2} onClick={add}>
          Add the wish
        </Button>
      </Box>
    </>
  );
}
