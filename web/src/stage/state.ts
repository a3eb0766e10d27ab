import type { OnStage, StageLink } from '../api/shapes';
import type { Device } from './devices';

/** What somebody sends, as it arrives here. */
export interface Tracks {
  audio?: MediaStream;
  video?: MediaStream;
}

/** How sound and picture stand at a page. */
export interface StageState {
  /** Whether the media server is there; null until it was told. */
  up: boolean | null;
  /** The place one is heard and seen in. */
  place: string | null;
  people: OnStage[];
  /** Who speaks just now. */
  speaking: ReadonlySet<string>;
  tracks: ReadonlyMap<string, Tracks>;
  /** Who hears what is said here without being here. */
  heardBy: string[];
  /** Another place that one hears. */
  hears: string | null;
  /** What is heard of it. */
  overheard: ReadonlyMap<string, Tracks>;
  /** What one sends oneself; a switch that was pressed is `wanted` until the device is there. */
  microphone: 'off' | 'wanted' | 'on';
  camera: 'off' | 'wanted' | 'on';
  /** One's own screen, while one shares it. */
  screen: MediaStream | null;
  /** One's own picture. */
  own: MediaStream | null;
  /** Which device could not be used, and why. */
  trouble: { device: Device; says: string } | null;
  /** Whether the browser holds the sound back until something was pressed. */
  held: boolean;
  /** Who has switched one's microphone off, until one switches it on. */
  muted: string | null;
  /** How one's connection stands, and, for those who teach, whose is not good. */
  link: StageLink;
  links: ReadonlyMap<string, StageLink>;
  /** Whether one wishes to be sent no pictures. */
  soundOnly: boolean;
  /** Whether a connection broke and is made anew. */
  again: boolean;
  /** Goes up when one hears by another speaker. */
  speaker: number;
  says: string | null;
}

/** Before anything was told or switched on. */
export const NOTHING: StageState = {
  up: null,
  place: null,
  people: [],
  speaking: new Set(),
  tracks: new Map(),
  heardBy: [],
  hears: null,
  overheard: new Map(),
  microphone: 'off',
  camera: 'off',
  screen: null,
  own: null,
  trouble: null,
  held: false,
  muted: null,
  link: 'good',
  links: new Map(),
  soundOnly: false,
  again: false,
  speaker: 0,
  says: null,
};
