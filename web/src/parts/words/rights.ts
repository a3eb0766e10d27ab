import { RIGHTS } from '../../api/contracts';
import type { Right } from '../../api/shapes';

/** All rights, in the order in which they are told. */
export const ALL = Object.keys(RIGHTS) as Right[];

/** A house rule in words: when all may, when nobody may, and as something that a step brings, and of one person. */
const WORDS: Record<Right, [yes: string, no: string, brought: string, own: string]> = {
  speak: ['All may speak', 'Nobody speaks', 'Students speak', 'Speak'],
  camera: ['All may show their camera', 'Nobody shows a camera', 'Students show their camera', 'Show their camera'],
  share: ['All may share a screen', 'Nobody shares a screen', 'Students share a screen', 'Share a screen'],
  draw: ['All may draw', 'Nobody draws', 'Students draw', 'Draw'],
  arrange: [
    'All change each other’s marks',
    'Each changes only their own',
    'Students change each other’s marks',
    'Change others’ marks',
  ],
  add: ['All may add pages', 'Nobody adds pages', 'Students add pages', 'Add pages'],
  bring: ['All may bring materials', 'Nobody brings materials', 'Students bring materials', 'Bring materials'],
  post: ['All may post', 'Nobody posts', 'Students post', 'Post to everyone'],
  threads: [
    'All may write to one another',
    'Nobody writes to another',
    'Students write to one another',
    'Write to others',
  ],
  props: ['All use props', 'Nobody uses props', 'Students use props', 'Use props'],
  caption: ['All may caption', 'Nobody captions', 'Students caption', 'Caption what is said'],
  record: ['All may record their room', 'Nobody records a room', 'Students record their room', 'Record their room'],
};

export const ruleWords = (right: Right, allowed: boolean) => WORDS[right][allowed ? 0 : 1];
export const broughtWords = (right: Right) => WORDS[right][2];
export const ownWords = (right: Right) => WORDS[right][3];

/** What decided whether somebody may do something, as staff read it. */
export const DECIDED = {
  staff: 'staff may do everything',
  floor: 'has the floor',
  exception: 'an exception',
  step: 'rule of a step',
  rule: 'rule for all',
  class: 'the class is not going on',
  outside: 'outside of class',
} as const;
