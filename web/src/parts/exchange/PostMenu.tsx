import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { POST_SIGNS } from '../../api/contracts';
import type { You } from '../../api/shapes';
import { firstName } from '../words/people';
import { SIGN_WORDS, type Sign } from '../words/signs';
import type { Word } from './useWords';

/** What may be done with a post; what is missing may not be. */
export interface PostActs {
  answer?: (post: Word) => void;
  sign?: (post: Word, sign: Sign | null) => void;
  pin?: (post: Word, on: boolean) => void;
  park?: (post: Word, parked: 'waiting' | 'done' | null) => void;
  remove: (post: Word) => void;
  /** Puts the file of a post on the board on show, or on the shelf. */
  toBoard?: (post: Word) => void;
  toShelf?: (post: Word) => void;
}

interface Props {
  post: Word;
  you: You;
  acts: PostActs;
  pinned: boolean;
}

/** Everything one may do with one post, behind one button. */
export function PostMenu({ post, you, acts, pinned }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const items = itemsFor({ post, you, acts, pinned });
  if (items.length === 0) return null;
  const name = post.by === you.id ? 'your post' : `the post of ${firstName(post.name)}`;
  return (
    <>
      <Button
        className="menu"
        size="small"
        aria-label={`What to do with ${name}`}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{
          ml: 'auto',
          flex: 'none',
          minHeight: { xs: 44, md: 24 },
          minWidth: { xs: 44, md: 28 },
          p: 0,
          border: 'none',
        }}
      >
        …
      </Button>
      {anchor && (
        <Menu open anchorEl={anchor} onClose={() => setAnchor(null)}>
          {items.map(([words, act], index) =>
            act ? (
              <MenuItem
                key={words}
                onClick={() => {
                  setAnchor(null);
                  act();
                }}
              >
                {words}
              </MenuItem>
            ) : (
              <Divider key={index} />
            ),
          )}
        </Menu>
      )}
    </>
  );
}

type Item = [string, (() => void)?];

function itemsFor({ post, you, acts, pinned }: Props): Item[] {
  const { answer, sign, pin, park, remove, toBoard, toShelf } = acts;
  const mine = post.reactions?.find(({ person }) => person === you.id)?.sign;
  const answers: Item[] =
    answer && (post.thread || post.by !== you.id)
      ? [[post.thread ? 'Answer' : `Answer ${firstName(post.name)} alone`, () => answer(post)]]
      : [];
  const signs: Item[] = sign
    ? (POST_SIGNS as Sign[]).map((one) =>
        one === mine
          ? [`Take back “${SIGN_WORDS[one]}”`, () => sign(post, null)]
          : [`Sign: ${SIGN_WORDS[one]}`, () => sign(post, one)],
      )
    : [];
  const kept: Item[] =
    pin && !post.thread ? [[pinned ? 'No longer keep in view' : 'Keep in view', () => pin(post, !pinned)]] : [];
  const later: Item[] =
    !park || post.thread
      ? []
      : post.parked
        ? [
            ...(post.parked === 'waiting' ? [['Tick off', () => park(post, 'done')] as Item] : []),
            ['Take out of the parked', () => park(post, null)],
          ]
        : [['Park for later', () => park(post, 'waiting')]];
  const file: Item[] = post.file
    ? [
        ...(toBoard ? [['Put the file on the board', () => toBoard(post)] as Item] : []),
        ...(toShelf ? [['Put the file on the shelf', () => toShelf(post)] as Item] : []),
      ]
    : [];
  const own: Item[] = post.by === you.id || you.staff ? [['Delete', () => remove(post)]] : [];
  return [answers, signs, file, [...kept, ...later], own]
    .filter((group) => group.length > 0)
    .flatMap((group, index) => (index === 0 ? group : [['divider'] as Item, ...group]));
}
