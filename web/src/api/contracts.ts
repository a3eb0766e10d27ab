// Generated from the Ruby side by `npm run contracts`. Do not edit.

export interface Commands {
  'board.put': {
    marks: {
      x: number;
      y: number;
      w?: number;
      h?: number;
      points?: number[];
      press?: number[];
      ink: 'slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber';
      width?: number;
      text?: string;
      alt?: string;
      size?: number;
      angle?: number;
      fill?: boolean;
      locked?: boolean;
      page: string;
      group?: null | string;
      id: string;
      kind:
        | 'stroke'
        | 'highlight'
        | 'line'
        | 'arrow'
        | 'polygon'
        | 'rectangle'
        | 'ellipse'
        | 'text'
        | 'note'
        | 'image'
        | 'sign'
        | 'prop';
      took?: number;
      sign?: 'tick' | 'cross' | 'arrow';
      material?: string;
      version?: number;
      slide?: number;
      prop?: 'dice' | 'spinner' | 'counter' | 'timer' | 'picker';
      settings?: {
        count?: number;
        faces?: number;
        labels?: string[];
        weights?: number[];
        shape?: 'round' | 'square' | 'triangle' | 'diamond' | 'star' | 'boat';
        seconds?: number;
        names?: string[];
      };
    }[];
  };
  'board.change': {
    changes: {
      id: string;
      set: {
        x?: number;
        y?: number;
        w?: number;
        h?: number;
        points?: number[];
        press?: number[];
        ink?: 'slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber';
        width?: number;
        text?: string;
        alt?: string;
        size?: number;
        angle?: number;
        fill?: boolean;
        locked?: boolean;
        page?: string;
        group?: null | string;
      };
    }[];
  };
  'board.remove': {
    ids: string[];
  };
  'board.clear': {
    page: string;
    by?: string;
  };
  'board.arrange': {
    ids: string[];
    way:
      | 'left'
      | 'centre'
      | 'right'
      | 'top'
      | 'middle'
      | 'bottom'
      | 'space_across'
      | 'space_down'
      | 'to_front'
      | 'to_back'
      | 'forward'
      | 'backward'
      | 'sort_column'
      | 'sort_row';
    language?: string;
  };
  'board.straighten': {
    ids: string[];
  };
  'board.use_prop': {
    id: string;
    action: 'roll' | 'spin' | 'start' | 'pause' | 'reset' | 'pick' | 'again';
  };
  'board.undo': {};
  'board.redo': {};
  'board.bring_back': {
    page: string;
    seq: number;
  };
  'board.add_page': {
    page: string;
    after: string;
  };
  'board.set_page': {
    page: string;
    grows: boolean;
  };
  'board.point': {
    page: string;
    path: number[];
  };
  'board.lock': {
    on: boolean;
    page?: string;
  };
  'class.open': {};
  'class.end': {};
  'class.set_doors': {
    each: boolean;
  };
  'class.let_in': {
    people: string[];
    place?: string;
  };
  'class.send_to_wait': {
    person: string;
    place: string;
  };
  'class.remove': {
    person: string;
    place: string;
  };
  'class.let_back': {
    person: string;
  };
  'class.move': {
    step: string;
  };
  'class.extend': {
    minutes: number;
  };
  'class.show': {
    board: string;
    page: string;
  };
  'class.raise_hand': {};
  'class.lower_hand': {
    person?: string;
  };
  'class.rule': {
    right:
      | 'speak'
      | 'camera'
      | 'share'
      | 'draw'
      | 'arrange'
      | 'add'
      | 'bring'
      | 'post'
      | 'threads'
      | 'props'
      | 'record'
      | 'caption';
    allow: boolean;
    person?: string;
  };
  'class.lend_floor': {
    person?: string;
    people?: string[];
    seconds?: number;
  };
  'class.take_floor': {
    since?: number;
    person?: string;
  };
  'class.mute': {
    person?: string;
  };
  'class.invite': {
    person: string;
    device: 'microphone' | 'camera';
  };
  'class.answer_invitation': {
    yes: boolean;
  };
  'class.share_screen': {
    on: boolean;
    since?: number;
  };
  'class.pause_screen': {
    on: boolean;
  };
  'class.make_large': {
    person: null | string;
  };
  'class.caption': {
    id: string;
    words: string;
    lang: string;
    took: number;
  };
  'class.set_clip': {
    rooms?: string[];
    material: string;
    playing?: boolean;
    at?: number;
    speed?: 0.5 | 0.75 | 1 | 1.25 | 1.5 | 2;
    loop?: null | unknown[];
    off?: boolean;
  };
  'class.signal': {
    signal?: 'done' | 'yes' | 'no' | 'slower' | 'faster' | 'back_soon' | 'clap';
  };
  'class.clear_signals': {};
  'class.record': {
    on: boolean;
  };
  'class.cue': {
    cue: string;
  };
  'class.stop_timer': {};
  'class.set_exchange': {
    oversight?: boolean;
    reactions?: boolean;
  };
  'class.keep_together': {
    on: boolean;
  };
  'class.hand_out': {
    board: string;
    on: boolean;
  };
  'class.end_pairs': {};
  'rooms.rename': {
    activity: string;
    room: string;
    name: string;
  };
  'rooms.remove': {
    activity: string;
    room: string;
    people: string[];
  };
  'rooms.assign': {
    activity: string;
    moves: {
      person: string;
      room: null | string;
      from?: string;
    }[];
  };
  'rooms.time': {
    activity: string;
    rooms: string[];
    more?: number;
    left?: number;
    hold?: boolean;
    grace?: number;
  };
  'room.call': {
    on: boolean;
  };
  'rooms.announce': {
    activity: string;
    rooms: string[];
    id: string;
    words: string;
  };
  'rooms.address': {
    voice: boolean;
    screen: boolean;
  };
  'rooms.step_in': {
    to: string;
    from: string;
  };
  'rooms.go': {
    to: string;
    from: string;
  };
  'rooms.choose_boards': {
    activity: string;
    room: string;
    from: null | string[];
  };
  'rooms.share': {
    activity: string;
    room: string;
    on: boolean;
  };
  'poll.stage': {
    poll: string;
    question: {
      kind: 'one' | 'several' | 'order' | 'short' | 'cloud' | 'yes_no' | 'scale' | 'number' | 'spot' | 'marks';
      text: string;
      picture?: {
        material: string;
        version: number;
        slide: number;
      };
      options?: {
        id: string;
        text: string;
        picture?: {
          material: string;
          version: number;
          slide: number;
        };
      }[];
      fewest?: number;
      most?: number;
      points?: number;
      ends?: string[];
      unit?: string;
      low?: number;
      high?: number;
      board?: string;
      page?: string;
      regions?: {
        id: string;
        text: string;
        x: number;
        y: number;
        w: number;
        h: number;
      }[];
      right?: {
        options?: string[];
        words?: string[];
        number?: number;
        tolerance?: number;
        area?: {
          x: number;
          y: number;
          w: number;
          h: number;
        };
      };
      explanation?: string;
      seconds?: number;
      names?: boolean;
      change?: boolean;
      results?: 'never' | 'after' | 'shown';
    };
    place?: null | string;
    set?: {
      id: string;
      title: string;
    };
  };
  'poll.open': {
    poll: string;
    round: number;
    seconds?: null | number;
    talk?: number;
    text?: string;
  };
  'poll.answer': {
    round: number;
    value?: unknown;
  };
  'poll.close': {
    poll: string;
    round: number;
  };
  'poll.seal': {
    poll: string;
  };
  'poll.clear': {
    poll: string;
    round: number;
    on: boolean;
  };
  'poll.put_away': {
    poll: string;
  };
  'poll.group': {
    poll: string;
    key: string;
    to: null | string;
  };
  'poll.name_group': {
    poll: string;
    key: string;
    words: string;
  };
  'poll.strike': {
    poll: string;
    key: string;
    on: boolean;
  };
  'question.ask': {
    id: string;
    text: string;
    nameless: boolean;
  };
  'question.vote': {
    id: string;
    on: boolean;
  };
  'question.review': {
    id: string;
    pass: boolean;
  };
  'question.merge': {
    id: string;
    into: string;
  };
  'question.answer_now': {
    id: null | string;
  };
  'question.done': {
    id: string;
    words?: string;
  };
  'question.set': {
    review: boolean;
    nameless: boolean;
  };
  'exchange.post': {
    id: string;
    text: string;
    file?: string;
  };
  'exchange.delete': {
    id: string;
  };
  'exchange.react': {
    id: string;
    sign?: 'agree' | 'thanks' | 'good' | 'puzzled';
  };
  'exchange.pin': {
    id: string;
    on: boolean;
  };
  'exchange.park': {
    id: string;
    parked?: 'waiting' | 'done';
  };
  'exchange.begin_thread': {
    id: string;
    people: string[];
    staff: boolean;
    post: {
      id: string;
      text: string;
      file?: string;
    };
  };
  'thread.post': {
    id: string;
    text: string;
    file?: string;
  };
  'thread.delete': {
    id: string;
  };
  'thread.react': {
    id: string;
    sign?: 'agree' | 'thanks' | 'good' | 'puzzled';
  };
  'plan.set': {
    seen: number;
    set: {
      title?: string;
      starts_at?: number;
      minutes?: number;
      record_from?: null | string;
      welcome?: string;
      welcome_ink?: null | ('slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber');
      welcome_picture?: null | string;
      invited_only?: boolean;
      cancelled?: boolean;
    };
  };
  'plan.add_step': {
    step: string;
    after: null | string;
    set: {
      title?: string;
      minutes?: number;
      shortest?: number;
      notes?: string;
      board?: null | string;
      material?: null | string;
      leads?: 'paper' | 'people' | 'words';
      rules?: {
        speak?: boolean;
        camera?: boolean;
        share?: boolean;
        draw?: boolean;
        arrange?: boolean;
        add?: boolean;
        bring?: boolean;
        post?: boolean;
        threads?: boolean;
        props?: boolean;
        record?: boolean;
        caption?: boolean;
      };
      cues?: {
        id: string;
        kind: 'show' | 'timer' | 'record' | 'hand_out' | 'pairs' | 'rooms' | 'poll' | 'set' | 'clip';
        label?: string;
        board?: string;
        page?: string;
        material?: string;
        until_done?: boolean;
        size?: 2 | 3;
        plan?: {
          by: 'rooms' | 'size';
          number: number;
          way?: 'deal' | 'hand' | 'choice';
          names?: string[];
          wishes?: {
            kind: 'together' | 'apart' | 'each' | 'lead' | 'mix' | 'level';
            people?: string[];
            by?: string;
          }[];
          limit?: number;
          minutes?: null | number;
          warnings?: number[];
          grace?: number;
          ask?: number;
          free?: boolean;
          named?: boolean;
          words?: string;
          board?: null | string;
          rules?: {
            speak?: boolean;
            camera?: boolean;
            share?: boolean;
            draw?: boolean;
            arrange?: boolean;
            add?: boolean;
            bring?: boolean;
            post?: boolean;
            threads?: boolean;
            props?: boolean;
            record?: boolean;
            caption?: boolean;
          };
          staff?: boolean;
          unannounced?: boolean;
          open_doors?: boolean;
          recorded?: boolean;
          unrecorded?: boolean;
        };
        question?: {
          kind: 'one' | 'several' | 'order' | 'short' | 'cloud' | 'yes_no' | 'scale' | 'number' | 'spot' | 'marks';
          text: string;
          picture?: {
            material: string;
            version: number;
            slide: number;
          };
          options?: {
            id: string;
            text: string;
            picture?: {
              material: string;
              version: number;
              slide: number;
            };
          }[];
          fewest?: number;
          most?: number;
          points?: number;
          ends?: string[];
          unit?: string;
          low?: number;
          high?: number;
          board?: string;
          page?: string;
          regions?: {
            id: string;
            text: string;
            x: number;
            y: number;
            w: number;
            h: number;
          }[];
          right?: {
            options?: string[];
            words?: string[];
            number?: number;
            tolerance?: number;
            area?: {
              x: number;
              y: number;
              w: number;
              h: number;
            };
          };
          explanation?: string;
          seconds?: number;
          names?: boolean;
          change?: boolean;
          results?: 'never' | 'after' | 'shown';
        };
        questions?: {
          id: string;
          question: {
            kind: 'one' | 'several' | 'order' | 'short' | 'cloud' | 'yes_no' | 'scale' | 'number' | 'spot' | 'marks';
            text: string;
            picture?: {
              material: string;
              version: number;
              slide: number;
            };
            options?: {
              id: string;
              text: string;
              picture?: {
                material: string;
                version: number;
                slide: number;
              };
            }[];
            fewest?: number;
            most?: number;
            points?: number;
            ends?: string[];
            unit?: string;
            low?: number;
            high?: number;
            board?: string;
            page?: string;
            regions?: {
              id: string;
              text: string;
              x: number;
              y: number;
              w: number;
              h: number;
            }[];
            right?: {
              options?: string[];
              words?: string[];
              number?: number;
              tolerance?: number;
              area?: {
                x: number;
                y: number;
                w: number;
                h: number;
              };
            };
            explanation?: string;
            seconds?: number;
            names?: boolean;
            change?: boolean;
            results?: 'never' | 'after' | 'shown';
          };
        }[];
        seconds?: number;
      }[];
    };
  };
  'plan.set_step': {
    step: string;
    seen: number;
    set: {
      title?: string;
      minutes?: number;
      shortest?: number;
      notes?: string;
      board?: null | string;
      material?: null | string;
      leads?: 'paper' | 'people' | 'words';
      rules?: {
        speak?: boolean;
        camera?: boolean;
        share?: boolean;
        draw?: boolean;
        arrange?: boolean;
        add?: boolean;
        bring?: boolean;
        post?: boolean;
        threads?: boolean;
        props?: boolean;
        record?: boolean;
        caption?: boolean;
      };
      cues?: {
        id: string;
        kind: 'show' | 'timer' | 'record' | 'hand_out' | 'pairs' | 'rooms' | 'poll' | 'set' | 'clip';
        label?: string;
        board?: string;
        page?: string;
        material?: string;
        until_done?: boolean;
        size?: 2 | 3;
        plan?: {
          by: 'rooms' | 'size';
          number: number;
          way?: 'deal' | 'hand' | 'choice';
          names?: string[];
          wishes?: {
            kind: 'together' | 'apart' | 'each' | 'lead' | 'mix' | 'level';
            people?: string[];
            by?: string;
          }[];
          limit?: number;
          minutes?: null | number;
          warnings?: number[];
          grace?: number;
          ask?: number;
          free?: boolean;
          named?: boolean;
          words?: string;
          board?: null | string;
          rules?: {
            speak?: boolean;
            camera?: boolean;
            share?: boolean;
            draw?: boolean;
            arrange?: boolean;
            add?: boolean;
            bring?: boolean;
            post?: boolean;
            threads?: boolean;
            props?: boolean;
            record?: boolean;
            caption?: boolean;
          };
          staff?: boolean;
          unannounced?: boolean;
          open_doors?: boolean;
          recorded?: boolean;
          unrecorded?: boolean;
        };
        question?: {
          kind: 'one' | 'several' | 'order' | 'short' | 'cloud' | 'yes_no' | 'scale' | 'number' | 'spot' | 'marks';
          text: string;
          picture?: {
            material: string;
            version: number;
            slide: number;
          };
          options?: {
            id: string;
            text: string;
            picture?: {
              material: string;
              version: number;
              slide: number;
            };
          }[];
          fewest?: number;
          most?: number;
          points?: number;
          ends?: string[];
          unit?: string;
          low?: number;
          high?: number;
          board?: string;
          page?: string;
          regions?: {
            id: string;
            text: string;
            x: number;
            y: number;
            w: number;
            h: number;
          }[];
          right?: {
            options?: string[];
            words?: string[];
            number?: number;
            tolerance?: number;
            area?: {
              x: number;
              y: number;
              w: number;
              h: number;
            };
          };
          explanation?: string;
          seconds?: number;
          names?: boolean;
          change?: boolean;
          results?: 'never' | 'after' | 'shown';
        };
        questions?: {
          id: string;
          question: {
            kind: 'one' | 'several' | 'order' | 'short' | 'cloud' | 'yes_no' | 'scale' | 'number' | 'spot' | 'marks';
            text: string;
            picture?: {
              material: string;
              version: number;
              slide: number;
            };
            options?: {
              id: string;
              text: string;
              picture?: {
                material: string;
                version: number;
                slide: number;
              };
            }[];
            fewest?: number;
            most?: number;
            points?: number;
            ends?: string[];
            unit?: string;
            low?: number;
            high?: number;
            board?: string;
            page?: string;
            regions?: {
              id: string;
              text: string;
              x: number;
              y: number;
              w: number;
              h: number;
            }[];
            right?: {
              options?: string[];
              words?: string[];
              number?: number;
              tolerance?: number;
              area?: {
                x: number;
                y: number;
                w: number;
                h: number;
              };
            };
            explanation?: string;
            seconds?: number;
            names?: boolean;
            change?: boolean;
            results?: 'never' | 'after' | 'shown';
          };
        }[];
        seconds?: number;
      }[];
    };
  };
  'plan.move_step': {
    step: string;
    after: null | string;
  };
  'plan.take_step': {
    step: string;
    seen: number;
  };
  'course.set': {
    name?: string;
    private_in_transcripts?: boolean;
    keep_recordings?: null | number;
    add_missed?: boolean;
    language?: string;
    zone?: string;
  };
  'course.plan_series': {
    series: string;
    title: string;
    start: string;
    zone: string;
    minutes: number;
    rule: string;
    except?: string[];
    sheet?: null | string;
  };
  'course.change_series': {
    series: string;
    from?: null | string;
    set: {
      title?: string;
      start?: string;
      zone?: string;
      minutes?: number;
      rule?: string;
      except?: string[];
    };
  };
  'people.give_role': {
    person: string;
    role: 'instructor' | 'assistant' | 'student';
  };
  'people.take_out': {
    person: string;
  };
}

export const VERSION = 2;
export const INKS: Readonly<Record<string, string>> = {
  slate: '#23313A',
  brick: '#A8412A',
  moss: '#3F6B2A',
  lake: '#2C5F8A',
  plum: '#7A3B69',
  umber: '#7A5217',
};
export const WASHES: Readonly<Record<string, string>> = {
  slate: '#DCE1E3',
  brick: '#F3DDD6',
  moss: '#DFEAD7',
  lake: '#DCE8F2',
  plum: '#EEDCE9',
  umber: '#FBEFD5',
};
export const PAPER = '#FBF7EE';
export const PAGE_WIDTH = 1600;
export const PAGE_HEIGHT = 1000;
export const FIRST_PAGE = 'p1';
export const FREE_BELOW = 240;
export const MAX_NUMBERS = 6000;
export const MAX_TEXT = 4000;
export const LEADING = 1.3;
export const NOTE_INSET = 18;
export const ARROW_SPREAD = 0.45;
export const STROKE_CORNER = 0.57;
export const ALWAYS: readonly string[] = ['page', 'kind', 'x', 'y', 'z', 'ink'];
export const REQUIRED: Readonly<Record<string, readonly string[]>> = {
  stroke: ['points', 'width'],
  highlight: ['points', 'width'],
  line: ['points', 'width'],
  arrow: ['points', 'width'],
  polygon: ['points', 'width'],
  rectangle: ['w', 'h', 'width'],
  ellipse: ['w', 'h', 'width'],
  text: ['text', 'size', 'w'],
  note: ['text', 'size', 'w'],
  image: ['w', 'h', 'material', 'version', 'slide', 'alt'],
  sign: ['w', 'h', 'sign'],
  prop: ['w', 'h', 'prop', 'settings'],
};
export const SIGN_LINES: Readonly<Record<string, readonly (readonly (readonly number[])[])[]>> = {
  tick: [
    [
      [0.1, 0.55],
      [0.4, 0.85],
      [0.9, 0.15],
    ],
  ],
  cross: [
    [
      [0.15, 0.15],
      [0.85, 0.85],
    ],
    [
      [0.85, 0.15],
      [0.15, 0.85],
    ],
  ],
  arrow: [
    [
      [0.08, 0.5],
      [0.92, 0.5],
    ],
    [
      [0.6, 0.2],
      [0.92, 0.5],
      [0.6, 0.8],
    ],
  ],
};
export const PIPS: Readonly<Record<string, readonly (readonly number[])[]>> = {
  '1': [[2, 2]],
  '2': [
    [1, 1],
    [3, 3],
  ],
  '3': [
    [1, 1],
    [2, 2],
    [3, 3],
  ],
  '4': [
    [1, 1],
    [1, 3],
    [3, 1],
    [3, 3],
  ],
  '5': [
    [1, 1],
    [1, 3],
    [2, 2],
    [3, 1],
    [3, 3],
  ],
  '6': [
    [1, 1],
    [1, 2],
    [1, 3],
    [3, 1],
    [3, 2],
    [3, 3],
  ],
};
export const COUNTER_CORNERS: Readonly<Record<string, readonly (readonly number[])[]>> = {
  square: [
    [0.08, 0.08],
    [0.92, 0.08],
    [0.92, 0.92],
    [0.08, 0.92],
  ],
  triangle: [
    [0.5, 0.05],
    [0.95, 0.9],
    [0.05, 0.9],
  ],
  diamond: [
    [0.5, 0.03],
    [0.97, 0.5],
    [0.5, 0.97],
    [0.03, 0.5],
  ],
  star: [
    [0.5, 0.04],
    [0.618, 0.358],
    [0.957, 0.372],
    [0.69, 0.582],
    [0.782, 0.908],
    [0.5, 0.72],
    [0.218, 0.908],
    [0.31, 0.582],
    [0.043, 0.372],
    [0.382, 0.358],
  ],
  boat: [
    [0.5, 0.02],
    [0.72, 0.3],
    [0.78, 0.62],
    [0.7, 0.96],
    [0.3, 0.96],
    [0.22, 0.62],
    [0.28, 0.3],
  ],
};
export const REACH = 12000;
export const MOST_SAMPLES = 2000;
export const SAMPLE_EVERY = 6;
export const MOST_AT_ONCE: Readonly<Record<string, number>> = {
  put: 200,
  change: 500,
  remove: 500,
  arrange: 500,
  straighten: 50,
};
export const MESSAGE_LIMIT = 65536;
export const MOST_LISTED: Readonly<Record<string, number>> = { materials: 500, boards: 100 };
export const RIGHTS: Readonly<Record<string, string>> = {
  speak: 'speak',
  camera: 'show your camera',
  share: 'share a screen',
  draw: 'draw on this board',
  arrange: 'change what others put on the board',
  add: 'add pages',
  bring: 'bring materials',
  post: 'write in the exchange',
  threads: 'write to one another',
  props: 'use props',
  record: 'record your room',
  caption: 'caption what is said',
};
export const RULES: Readonly<Record<string, boolean>> = {
  speak: true,
  camera: true,
  share: false,
  draw: true,
  arrange: false,
  add: false,
  bring: false,
  post: true,
  threads: true,
  props: true,
  record: false,
  caption: false,
};
export const SIGNALS: readonly string[] = ['done', 'yes', 'no', 'slower', 'faster', 'back_soon', 'clap'];
export const STAFF_SIGNALS: readonly string[] = ['back_soon', 'clap'];
export const PASSING_SIGNALS: Readonly<Record<string, number>> = { clap: 15000 };
export const STAFF: readonly string[] = ['instructor', 'assistant'];
export const POST_LIMIT = 2000;
export const POST_SIGNS: readonly string[] = ['agree', 'thanks', 'good', 'puzzled'];
export const THREAD_PEOPLE = 12;
export const MOST_PINNED = 3;
export const NAME_LIMIT = 60;
export const COURSE_NAME_LIMIT = 120;
export const WELCOME_LIMIT = 600;
export const PLAIN_STEP: Readonly<Record<string, string | number | null | readonly unknown[]>> = {
  title: '',
  minutes: 10,
  shortest: 5,
  notes: '',
  board: null,
  material: null,
  rules: null,
  cues: [],
  leads: 'paper',
};
export const MOST_STEPS = 60;
export const WIDTHS: Readonly<Record<string, number>> = {
  '0': 648,
  '1': 407,
  '2': 548,
  '3': 576,
  '4': 614,
  '5': 588,
  '6': 598,
  '7': 510,
  '8': 615,
  '9': 595,
  '­': 0,
  "'": 160,
  ',': 210,
  '.': 210,
  ':': 210,
  ';': 210,
  '′': 227,
  '‘': 236,
  '’': 236,
  '|': 237,
  '¦': 237,
  '·': 240,
  '`': 243,
  '´': 243,
  j: 245,
  i: 252,
  ì: 252,
  í: 252,
  î: 252,
  ī: 252,
  į: 252,
  '¹': 256,
  l: 262,
  ĺ: 262,
  ļ: 262,
  '¸': 265,
  ï: 266,
  ĩ: 278,
  ĭ: 278,
  ı: 278,
  ĵ: 278,
  ' ': 280,
  '!': 286,
  '¡': 286,
  Ĩ: 295,
  Ĭ: 295,
  Ĵ: 295,
  ł: 296,
  '(': 299,
  ')': 299,
  '"': 301,
  f: 314,
  '[': 317,
  ľ: 317,
  t: 326,
  ţ: 326,
  ť: 326,
  ŀ: 342,
  ']': 344,
  '{': 344,
  '}': 344,
  r: 349,
  ŕ: 349,
  ř: 349,
  '°': 352,
  ſ: 352,
  '¯': 356,
  '-': 362,
  '¨': 368,
  ª: 371,
  _: 372,
  '″': 374,
  º: 380,
  '²': 382,
  '³': 383,
  '/': 387,
  '\\': 387,
  I: 392,
  Ì: 392,
  Í: 392,
  Î: 392,
  Ï: 392,
  Ī: 392,
  Į: 392,
  İ: 392,
  ŧ: 392,
  '“': 399,
  '”': 399,
  ŗ: 411,
  '•': 438,
  y: 449,
  ý: 449,
  ÿ: 449,
  ŷ: 449,
  '¿': 450,
  z: 460,
  ź: 460,
  ż: 460,
  ž: 460,
  v: 461,
  s: 471,
  ś: 471,
  ş: 471,
  š: 471,
  '?': 480,
  x: 481,
  '*': 485,
  c: 485,
  '¢': 485,
  ç: 485,
  ć: 485,
  ċ: 485,
  č: 485,
  k: 492,
  ķ: 492,
  ĳ: 497,
  '–': 504,
  '¶': 509,
  J: 512,
  ŝ: 521,
  a: 525,
  à: 525,
  á: 525,
  â: 525,
  ã: 525,
  ä: 525,
  å: 525,
  ā: 525,
  ă: 525,
  ą: 525,
  '§': 528,
  '×': 532,
  e: 538,
  è: 538,
  é: 538,
  ê: 538,
  ë: 538,
  ē: 538,
  ė: 538,
  ę: 538,
  ě: 538,
  u: 540,
  ù: 540,
  ú: 540,
  û: 540,
  ü: 540,
  ū: 540,
  ů: 540,
  ű: 540,
  ų: 540,
  L: 541,
  Ĺ: 541,
  Ļ: 541,
  Ľ: 541,
  o: 548,
  ò: 548,
  ó: 548,
  ô: 548,
  õ: 548,
  ö: 548,
  ø: 548,
  ő: 548,
  h: 550,
  n: 550,
  ñ: 550,
  ĉ: 550,
  ħ: 550,
  ń: 550,
  ņ: 550,
  ň: 550,
  F: 552,
  '^': 552,
  '<': 553,
  '>': 553,
  '~': 555,
  Ŀ: 557,
  T: 558,
  g: 558,
  ğ: 558,
  ġ: 558,
  ģ: 558,
  Ţ: 558,
  Ť: 558,
  '«': 562,
  '»': 562,
  d: 564,
  đ: 564,
  ð: 565,
  b: 566,
  p: 566,
  þ: 566,
  E: 569,
  È: 569,
  É: 569,
  Ê: 569,
  Ë: 569,
  Ē: 569,
  Ė: 569,
  Ę: 569,
  Ě: 569,
  Ł: 571,
  q: 574,
  Y: 575,
  '¥': 575,
  Ý: 575,
  Ŷ: 575,
  Ÿ: 575,
  '±': 579,
  ĸ: 579,
  '¤': 580,
  ß: 582,
  $: 592,
  P: 592,
  S: 592,
  Þ: 592,
  Ś: 592,
  Ş: 592,
  Š: 592,
  V: 593,
  '¬': 602,
  '+': 606,
  '÷': 606,
  '−': 606,
  Z: 607,
  Ź: 607,
  Ż: 607,
  Ž: 607,
  '£': 610,
  Ŧ: 611,
  ō: 612,
  ŏ: 612,
  B: 613,
  R: 614,
  Ŕ: 614,
  Ř: 614,
  ĕ: 615,
  X: 623,
  A: 626,
  À: 626,
  Á: 626,
  Â: 626,
  Ã: 626,
  Ä: 626,
  Å: 626,
  Ā: 626,
  Ă: 626,
  Ą: 626,
  '=': 628,
  K: 631,
  Ķ: 631,
  Ĕ: 632,
  ď: 634,
  ĥ: 634,
  ŋ: 634,
  ũ: 634,
  ŭ: 634,
  ĝ: 635,
  Ŝ: 635,
  µ: 636,
  C: 645,
  Ç: 645,
  Ć: 645,
  Ċ: 645,
  Č: 645,
  '#': 651,
  '€': 664,
  D: 669,
  Ď: 669,
  '…': 670,
  w: 684,
  ŵ: 684,
  Ð: 689,
  Đ: 689,
  U: 690,
  Ù: 690,
  Ú: 690,
  Û: 690,
  Ü: 690,
  Ū: 690,
  Ů: 690,
  Ű: 690,
  Ų: 690,
  N: 693,
  Ñ: 693,
  Ń: 693,
  Ņ: 693,
  Ň: 693,
  G: 694,
  H: 694,
  Ğ: 694,
  Ġ: 694,
  Ģ: 694,
  Ħ: 694,
  Ŗ: 695,
  Ĉ: 698,
  O: 714,
  Ò: 714,
  Ó: 714,
  Ô: 714,
  Õ: 714,
  Ö: 714,
  Ø: 714,
  Ő: 714,
  Q: 724,
  '&': 731,
  Ũ: 732,
  Ŭ: 732,
  Ŋ: 748,
  Ĥ: 752,
  Ĝ: 775,
  '@': 778,
  Ō: 787,
  Ŏ: 787,
  '©': 798,
  '®': 798,
  ŉ: 813,
  '¼': 816,
  '½': 820,
  M: 824,
  '—': 824,
  m: 845,
  W: 856,
  Ŵ: 856,
  æ: 866,
  '¾': 867,
  '™': 874,
  Æ: 891,
  Ĳ: 904,
  '%': 919,
  œ: 924,
  Œ: 1006,
};
export const OTHERWISE = 640;
export const POLL_KINDS: readonly string[] = [
  'one',
  'several',
  'order',
  'short',
  'cloud',
  'yes_no',
  'scale',
  'number',
  'spot',
  'marks',
];
export const MOST_OPTIONS = 30;
export const POLL_LIMITS: Readonly<Record<string, number>> = {
  text: 400,
  option: 160,
  answer: 500,
  word: 60,
  words: 5,
  points: 5,
  rounds: 20,
};
export const DISCUSS: readonly number[] = [0.35, 0.7];
export const SPOT_SQUARE = 40;
