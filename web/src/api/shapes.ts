// Generated from the Ruby side by `npm run contracts`. Do not edit.

export type Op =
  | {
      op: 'put';
      mark: MarkPut;
    }
  | {
      op: 'change';
      id: string;
      set: {
        [k: string]: unknown;
      };
    }
  | {
      op: 'remove';
      id: string;
    };
export type Device = 'microphone' | 'camera';
export type ClipKind = 'sound' | 'clip';
export type PlannedBody =
  | {
      id: string;
      title: string;
      course: string;
      starts_at: number;
      minutes: number;
      steps: SittingStep[];
      boards: SittingBoard[];
      places: {
        id: string;
        name: string;
        activity?: string;
      }[];
      rehearsal: boolean;
    }
  | {
      steps: StaffStep[];
      boards: StaffBoard[];
      record_from: string | null;
    };
export type RoomsOpenedBody =
  | {
      activity: string;
      name: string;
      step: string | null;
      free: boolean;
      named: boolean;
      rooms: Author[];
    }
  | {
      activity: string;
      ask_until: number | null;
      rooms: {
        id: string;
        boards: SittingBoard[];
      }[];
    };
export type RoomsClosedBody =
  | {
      activity: string;
      rooms: string[];
    }
  | {
      activity: string;
      rooms: {
        id: string;
        sat: string[];
      }[];
    };
/**
 * One fact in a stream. `at` is ms since the epoch, `by` a person's id.
 */
export type Entry =
  | {
      kind: 'edited';
      body: EditedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'page_added';
      body: PageAddedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'laid';
      body: LaidBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'taken_in';
      body: TakenInBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'prop_used';
      body: PropUsedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'locked';
      body: LockedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'pointed';
      body: PointedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'planned';
      body: PlannedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'boards';
      body: BoardsBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'opened';
      body: OpenedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'ended';
      body: EndedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'joined';
      body: JoinedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'seated';
      body: SeatedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'out';
      body: OutBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'dropped';
      body: DroppedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'left';
      body: LeftBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'moved';
      body: MovedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'extended';
      body: ExtendedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'recording';
      body: RecordingBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'rooms_opened';
      body: RoomsOpenedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_set';
      body: RoomSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'rooms_closed';
      body: RoomsClosedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'handed_out';
      body: HandedOutBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'gathered_in';
      body: GatheredInBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'addressed';
      body: AddressedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'address_over';
      body: AddressOverBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'waits';
      body: WaitsBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'removed';
      body: RemovedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'let_back';
      body: LetBackBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'doors_set';
      body: DoorsSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'waits_no_more';
      body: WaitsNoMoreBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'cued';
      body: CuedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'cue_refused';
      body: CueRefusedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'thread_begun';
      body: ThreadBegunBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'copies_given';
      body: CopiesGivenBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'paired';
      body: PairedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'rooms_given';
      body: RoomsGivenBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_shared';
      body: RoomSharedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'dealt';
      body: DealtBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'poll_staged';
      body: PollStagedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'poll_opened';
      body: PollOpenedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'poll_put_away';
      body: PollPutAwayBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'was_invited';
      body: WasInvitedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'answered_invitation';
      body: AnsweredInvitationBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'assigned';
      body: AssignedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_gone';
      body: RoomGoneBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'shown';
      body: ShownBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'timer_set';
      body: TimerSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'timer_stopped';
      body: TimerStoppedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'hand_raised';
      body: HandRaisedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'hand_lowered';
      body: HandLoweredBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'ruled';
      body: RuledBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'rules_set';
      body: RulesSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'floor_lent';
      body: FloorLentBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'floor_back';
      body: FloorBackBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'muted';
      body: MutedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'screen_on';
      body: ScreenOnBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'screen_off';
      body: ScreenOffBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'screen_paused';
      body: ScreenPausedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'made_large';
      body: MadeLargeBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'captioned';
      body: CaptionedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'clip_on';
      body: ClipOnBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'clip_set';
      body: ClipSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'clip_off';
      body: ClipOffBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'spoke';
      body: SpokeBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'signalled';
      body: SignalledBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'signal_off';
      body: SignalOffBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'signals_cleared';
      body: SignalsClearedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'together';
      body: TogetherBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'roaming';
      body: RoamingBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'pairs_drawn';
      body: PairsDrawnBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'pairs_over';
      body: PairsOverBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_opened';
      body: RoomOpenedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_given';
      body: RoomGivenBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_timed';
      body: RoomTimedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_named';
      body: RoomNamedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_closed';
      body: RoomClosedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'called';
      body: CalledBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'call_answered';
      body: CallAnsweredBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'announced';
      body: AnnouncedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'exchange_set';
      body: ExchangeSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'welcomed';
      body: WelcomedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'begun';
      body: BegunBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'host_came';
      body: HostCameBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'host_went';
      body: HostWentBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'posted';
      body: PostedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'deleted';
      body: DeletedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'reacted';
      body: ReactedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'pinned';
      body: PinnedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'parked';
      body: ParkedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'placed';
      body: PlacedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'copy_given';
      body: CopyGivenBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'partnered';
      body: PartneredBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'asked';
      body: AskedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'room_kept';
      body: RoomKeptBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'invited';
      body: InvitedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'invitation_answered';
      body: InvitationAnsweredBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'poll_begun';
      body: PollBegunBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'round_opened';
      body: RoundOpenedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'round_closed';
      body: RoundClosedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'round_cleared';
      body: RoundClearedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'poll_shown';
      body: PollShownBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'poll_sealed';
      body: PollSealedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'question_asked';
      body: QuestionAskedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'question_reviewed';
      body: QuestionReviewedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'votes_counted';
      body: VotesCountedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'question_merged';
      body: QuestionMergedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'answering';
      body: AnsweringBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'question_answered';
      body: QuestionAnsweredBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'questions_set';
      body: QuestionsSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'course_begun';
      body: CourseBegunBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'course_set';
      body: CourseSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'series_set';
      body: SeriesSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'enrolled';
      body: EnrolledBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'role_given';
      body: RoleGivenBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'taken_out';
      body: TakenOutBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'plan_begun';
      body: PlanBegunBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'plan_set';
      body: PlanSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'step_added';
      body: StepAddedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'step_set';
      body: StepSetBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'step_moved';
      body: StepMovedBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    }
  | {
      kind: 'step_taken';
      body: StepTakenBody;
      seq: number;
      at: number;
      by: string;
      cmd?: string | null;
    };
export type Right =
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
export type Glimpse =
  | {
      by: string;
      kind: 'pointer';
      body: {
        page: string;
        x: number;
        y: number;
      };
    }
  | {
      by: string;
      kind: 'ink';
      body:
        | {
            id: string;
            page: string;
            kind: 'stroke' | 'highlight';
            ink: 'slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber';
            x: number;
            y: number;
            width: number;
            from: number;
            points: number[];
          }
        | {
            id: string;
            page: string;
            end: boolean;
          };
    }
  | {
      by: string;
      kind: 'typing';
      body: {};
    }
  | {
      by: string;
      kind: 'view';
      body:
        | {
            board: string;
            page: string;
            x: number;
            y: number;
            w: number;
            h: number;
          }
        | {
            elsewhere: boolean;
          };
    };
/**
 * How the connection of a page stands.
 */
export type StageLink = 'good' | 'weak' | 'poor';
export type Incoming =
  | {
      t: 'welcome';
      v: number;
      you: You;
      rights: RightsByStream;
      streams: StreamPart[];
    }
  | ({ t: 'entry'; stream: string } & Entry)
  | {
      t: 'now';
      stream: string;
      all: Glimpse[];
    }
  | {
      t: 'done';
      id: string;
      seq: number;
    }
  | {
      t: 'refused';
      id: string;
      code: string;
      says: string;
    }
  | {
      t: 'gained';
      stream: string;
      head: number;
      view: unknown;
    }
  | {
      t: 'lost';
      stream: string;
      says?: string;
    }
  | {
      t: 'rights';
      rights: RightsByStream;
    }
  | {
      t: 'stage';
      up: boolean;
      epoch: number;
      place: string | null;
      people: OnStage[];
      speaking: string[];
      heard_by: string[];
      hears: string | null;
      relays: Relay[];
      says?: string;
    }
  | {
      t: 'sending';
      epoch: number;
      sdp: string;
    }
  | {
      t: 'sharing';
      epoch: number;
      sdp: string;
    }
  | {
      t: 'watching';
      epoch: number;
      sdp: string;
      slots: StageSlot[];
    }
  | {
      t: 'hearing';
      ear: number;
      sdp: string;
      slots: StageSlot[];
    }
  | {
      t: 'link';
      stream: string;
      person: string;
      link: StageLink;
    }
  | {
      t: 'telephone';
      port: number;
      source: number;
    }
  | {
      t: 'voice';
      stream: string;
      person: string;
      on: boolean;
    }
  | {
      t: 'muted';
      by: string;
    }
  | {
      t: 'results';
      stream: string;
      live: PollLive;
    }
  | {
      t: 'timing';
      stream: string;
      timing: Timing;
    }
  | {
      t: 'error';
      code: string;
      says: string;
      id?: string;
    }
  | {
      t: 'pong';
    };
export type RecordedEntry = Entry & { stream: string; t: number };

export interface Shapes {
  Mark: Mark;
  MarkPut: MarkPut;
  Shows: Shows;
  Ground: Ground;
  PageRow: PageRow;
  Author: Author;
  Op: Op;
  Question: Question;
  PollSet: PollSet;
  StagedPoll: StagedPoll;
  PollRound: PollRound;
  PollView: PollView;
  PollResults: PollResults;
  PollShown: PollShown;
  RightAnswer: RightAnswer;
  Tally: Tally;
  AnswerGroup: AnswerGroup;
  Spread: Spread;
  Moves: Moves;
  PollLive: PollLive;
  QuestionsView: QuestionsView;
  Asking: Asking;
  ClassQuestions: ClassQuestions;
  NamedAnswer: NamedAnswer;
  SetProgress: SetProgress;
  MyAnswer: MyAnswer;
  BankPoll: BankPoll;
  BoardView: BoardView;
  UndoCount: UndoCount;
  SittingView: SittingView;
  Address: Address;
  ActivityRow: ActivityRow;
  Seat: Seat;
  SittingStep: SittingStep;
  SittingBoard: SittingBoard;
  StaffView: StaffView;
  CueRefusal: CueRefusal;
  GroupPlan: GroupPlan;
  Activity: Activity;
  Room: Room;
  CopyRow: CopyRow;
  PairRow: PairRow;
  Partners: Partners;
  Paired: Paired;
  StaffStep: StaffStep;
  StaffBoard: StaffBoard;
  Cue: Cue;
  Waiting: Waiting;
  PlaceView: PlaceView;
  RoomHere: RoomHere;
  RoomCall: RoomCall;
  Announcement: Announcement;
  Device: Device;
  Invitation: Invitation;
  Invited: Invited;
  Screen: Screen;
  CaptionLine: CaptionLine;
  ClipKind: ClipKind;
  Clip: Clip;
  Asked: Asked;
  RoomKept: RoomKept;
  PairsHere: PairsHere;
  Signalled: Signalled;
  HouseRules: HouseRules;
  ExchangeView: ExchangeView;
  ThreadView: ThreadView;
  ThreadRow: ThreadRow;
  Reaction: Reaction;
  Post: Post;
  OwnCopyRow: OwnCopyRow;
  OwnView: OwnView;
  PlanView: PlanView;
  SeriesPart: SeriesPart;
  Series: Series;
  CourseView: CourseView;
  CoursePerson: CoursePerson;
  PeopleView: PeopleView;
  EditedBody: EditedBody;
  PageAddedBody: PageAddedBody;
  LaidBody: LaidBody;
  TakenInBody: TakenInBody;
  PropUsedBody: PropUsedBody;
  LockedBody: LockedBody;
  PointedBody: PointedBody;
  PlannedBody: PlannedBody;
  BoardsBody: BoardsBody;
  OpenedBody: OpenedBody;
  EndedBody: EndedBody;
  JoinedBody: JoinedBody;
  SeatedBody: SeatedBody;
  OutBody: OutBody;
  DroppedBody: DroppedBody;
  LeftBody: LeftBody;
  MovedBody: MovedBody;
  ExtendedBody: ExtendedBody;
  RecordingBody: RecordingBody;
  RoomsOpenedBody: RoomsOpenedBody;
  RoomSetBody: RoomSetBody;
  RoomsClosedBody: RoomsClosedBody;
  HandedOutBody: HandedOutBody;
  GatheredInBody: GatheredInBody;
  AddressedBody: AddressedBody;
  AddressOverBody: AddressOverBody;
  WaitsBody: WaitsBody;
  RemovedBody: RemovedBody;
  LetBackBody: LetBackBody;
  DoorsSetBody: DoorsSetBody;
  WaitsNoMoreBody: WaitsNoMoreBody;
  CuedBody: CuedBody;
  CueRefusedBody: CueRefusedBody;
  ThreadBegunBody: ThreadBegunBody;
  CopiesGivenBody: CopiesGivenBody;
  PairedBody: PairedBody;
  RoomsGivenBody: RoomsGivenBody;
  RoomSharedBody: RoomSharedBody;
  DealtBody: DealtBody;
  PollStagedBody: PollStagedBody;
  PollOpenedBody: PollOpenedBody;
  PollPutAwayBody: PollPutAwayBody;
  WasInvitedBody: WasInvitedBody;
  AnsweredInvitationBody: AnsweredInvitationBody;
  AssignedBody: AssignedBody;
  RoomGoneBody: RoomGoneBody;
  ShownBody: ShownBody;
  TimerSetBody: TimerSetBody;
  TimerStoppedBody: TimerStoppedBody;
  HandRaisedBody: HandRaisedBody;
  HandLoweredBody: HandLoweredBody;
  RuledBody: RuledBody;
  RulesSetBody: RulesSetBody;
  FloorLentBody: FloorLentBody;
  FloorBackBody: FloorBackBody;
  MutedBody: MutedBody;
  ScreenOnBody: ScreenOnBody;
  ScreenOffBody: ScreenOffBody;
  ScreenPausedBody: ScreenPausedBody;
  MadeLargeBody: MadeLargeBody;
  CaptionedBody: CaptionedBody;
  ClipOnBody: ClipOnBody;
  ClipSetBody: ClipSetBody;
  ClipOffBody: ClipOffBody;
  SpokeBody: SpokeBody;
  SignalledBody: SignalledBody;
  SignalOffBody: SignalOffBody;
  SignalsClearedBody: SignalsClearedBody;
  TogetherBody: TogetherBody;
  RoamingBody: RoamingBody;
  PairsDrawnBody: PairsDrawnBody;
  PairsOverBody: PairsOverBody;
  RoomOpenedBody: RoomOpenedBody;
  RoomGivenBody: RoomGivenBody;
  RoomTimedBody: RoomTimedBody;
  RoomNamedBody: RoomNamedBody;
  RoomClosedBody: RoomClosedBody;
  CalledBody: CalledBody;
  CallAnsweredBody: CallAnsweredBody;
  AnnouncedBody: AnnouncedBody;
  ExchangeSetBody: ExchangeSetBody;
  WelcomedBody: WelcomedBody;
  BegunBody: BegunBody;
  HostCameBody: HostCameBody;
  HostWentBody: HostWentBody;
  PostedBody: PostedBody;
  DeletedBody: DeletedBody;
  ReactedBody: ReactedBody;
  PinnedBody: PinnedBody;
  ParkedBody: ParkedBody;
  PlacedBody: PlacedBody;
  CopyGivenBody: CopyGivenBody;
  PartneredBody: PartneredBody;
  AskedBody: AskedBody;
  RoomKeptBody: RoomKeptBody;
  InvitedBody: InvitedBody;
  InvitationAnsweredBody: InvitationAnsweredBody;
  PollBegunBody: PollBegunBody;
  RoundOpenedBody: RoundOpenedBody;
  RoundClosedBody: RoundClosedBody;
  RoundClearedBody: RoundClearedBody;
  PollShownBody: PollShownBody;
  PollSealedBody: PollSealedBody;
  QuestionAskedBody: QuestionAskedBody;
  QuestionReviewedBody: QuestionReviewedBody;
  VotesCountedBody: VotesCountedBody;
  QuestionMergedBody: QuestionMergedBody;
  AnsweringBody: AnsweringBody;
  QuestionAnsweredBody: QuestionAnsweredBody;
  QuestionsSetBody: QuestionsSetBody;
  CourseBegunBody: CourseBegunBody;
  CourseSetBody: CourseSetBody;
  SeriesSetBody: SeriesSetBody;
  EnrolledBody: EnrolledBody;
  RoleGivenBody: RoleGivenBody;
  TakenOutBody: TakenOutBody;
  PlanBegunBody: PlanBegunBody;
  PlanSetBody: PlanSetBody;
  StepAddedBody: StepAddedBody;
  StepSetBody: StepSetBody;
  StepMovedBody: StepMovedBody;
  StepTakenBody: StepTakenBody;
  Entry: Entry;
  Right: Right;
  Answer: Answer;
  Rights: Rights;
  RightsByStream: RightsByStream;
  You: You;
  StreamPart: StreamPart;
  Stretch: Stretch;
  LessMinutes: LessMinutes;
  Timing: Timing;
  Glimpse: Glimpse;
  StageLink: StageLink;
  Relay: Relay;
  OnStage: OnStage;
  StageSlot: StageSlot;
  Incoming: Incoming;
  Session: Session;
  Stick: Stick;
  Sticks: Sticks;
  LookedAt: LookedAt;
  LessonOfLink: LessonOfLink;
  MadeLink: MadeLink;
  LinkRow: LinkRow;
  GuestFacts: GuestFacts;
  Course: Course;
  CoursePolicy: CoursePolicy;
  Finding: Finding;
  CalendarFacts: CalendarFacts;
  CalendarLesson: CalendarLesson;
  Clash: Clash;
  Clashes: Clashes;
  SeriesFacts: SeriesFacts;
  SeriesAhead: SeriesAhead;
  DeskFacts: DeskFacts;
  DeskLesson: DeskLesson;
  DeskClass: DeskClass;
  DeskWaiting: DeskWaiting;
  Step: Step;
  LessonFacts: LessonFacts;
  OpenLesson: OpenLesson;
  News: News;
  ClassFacts: ClassFacts;
  HeardRow: HeardRow;
  SurveyRow: SurveyRow;
  RoomsOffered: RoomsOffered;
  Met: Met;
  EarlierActivity: EarlierActivity;
  PastActivity: PastActivity;
  PastRoom: PastRoom;
  RoomPulse: RoomPulse;
  OwnCopy: OwnCopy;
  CopyWork: CopyWork;
  BoardRow: BoardRow;
  FoundBoard: FoundBoard;
  BoardChange: BoardChange;
  Material: Material;
  MaterialFacts: MaterialFacts;
  Slide: Slide;
  Use: Use;
  Upload: Upload;
  RecordingRow: RecordingRow;
  RecordedPlace: RecordedPlace;
  RecordingFacts: RecordingFacts;
  RecordingWatching: RecordingWatching;
  AfterClass: AfterClass;
  RecordingHappened: RecordingHappened;
  RecordingLevels: RecordingLevels;
  RecordingNote: RecordingNote;
  RecordingExport: RecordingExport;
  RecordingEdits: RecordingEdits;
  Captions: Captions;
  CaptionCue: CaptionCue;
  RecordingPart: RecordingPart;
  RecordedRoom: RecordedRoom;
  Track: Track;
  Chapter: Chapter;
  RecordedMoment: RecordedMoment;
  RecordedEntries: RecordedEntries;
  RecordedSeam: RecordedSeam;
  RecordedEntry: RecordedEntry;
}
/**
 * Anything on a board page: as put, with author, time (ms since the epoch) and place in the pile.
 */
export interface Mark {
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
  by: string;
  at: number;
  z: number;
  shows?: Shows;
}
/**
 * What a prop shows; which of these, depends on the prop.
 */
export interface Shows {
  rolled?: number[];
  index?: number;
  turn?: number;
  ends_at?: number;
  left?: number;
  name?: null | string;
  picked?: string[];
}
export interface MarkPut {
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
  by?: string;
  at?: number;
  z?: number;
  shows?: Shows;
}
/**
 * The slide that a page is drawn on; `w` and `h` are its proportions.
 */
export interface Ground {
  material: string;
  version: number;
  slide: number;
  w: number;
  h: number;
}
export interface PageRow {
  page: string;
  ground?: Ground;
  grows?: boolean;
  locked?: boolean;
}
export interface Author {
  id: string;
  name: string;
}
/**
 * What a poll asks, see Core::Polls::Question.
 */
export interface Question {
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
}
/**
 * Several polls that are taken as one form.
 */
export interface PollSet {
  id: string;
  title: string;
}
/**
 * A poll that staff have at hand in a class.
 */
export interface StagedPoll {
  id: string;
  question: Question;
  place: string | null;
  set: PollSet | null;
  step: string | null;
  begun: boolean;
  away: boolean;
}
/**
 * One opening of a poll; answers are taken `from` a moment on, `talk` where people talked it over before.
 */
export interface PollRound {
  round: number;
  opened_at: number;
  from: number;
  ends_at: number | null;
  closed_at: number | null;
  cleared: boolean;
  talk: boolean;
}
/**
 * A poll as everyone may know it to whom it was put; the question without what is right.
 */
export interface PollView {
  question: Question | null;
  place: string | null;
  set: PollSet | null;
  rounds: PollRound[];
  shown: PollShown | null;
}
/**
 * The same as everyone sees it, with what is right if that is told.
 */
export interface PollShown {
  round: number;
  tally: Tally;
  since?: number;
  before?: Tally;
  moves?: Moves | null;
  right?: RightAnswer;
  explanation?: string;
}
/**
 * What the answers of a round come to; `count` alone where more would tell who gave which.
 */
export interface Tally {
  count: number;
  right: number | null;
  options?: {
    id: string;
    count: number;
  }[];
  places?: {
    option: string;
    points: number;
    mean: number | null;
  }[];
  condorcet?: string | null;
  groups?: AnswerGroup[];
  spread?: Spread | null;
  points?: {
    point: number;
    count: number;
  }[];
  bins?: {
    from: number;
    to: number;
    count: number;
  }[];
  spots?: {
    x: number;
    y: number;
    count: number;
  }[];
}
/**
 * Written answers that are taken for the same, and why.
 */
export interface AnswerGroup {
  key: string;
  words: string;
  count: number;
  texts: {
    text: string;
    key: string;
    count: number;
    why: ('spelling' | 'slip' | 'staff') | null;
  }[];
}
export interface Spread {
  count: number;
  least: number;
  lower: number;
  median: number;
  upper: number;
  most: number;
}
/**
 * Of those who answered in both rounds, who went from what to what.
 */
export interface Moves {
  count: number;
  ways:
    | {
        from: unknown;
        to: unknown;
        count: number;
      }[]
    | null;
  right: {
    before: number;
    after: number;
    gain: number | null;
  } | null;
}
export interface RightAnswer {
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
}
/**
 * What a round came to, or two side by side.
 */
export interface PollResults {
  round: number;
  tally: Tally;
  since?: number;
  before?: Tally;
  moves?: Moves | null;
  struck?: string[];
}
/**
 * How a poll comes along, counted `at` a moment; `missing` of those who have not answered, and `more`.
 */
export interface PollLive {
  at: number;
  round: number;
  answered: number;
  expected: number;
  missing: Author[];
  more: number;
  results: PollResults;
}
/**
 * What people have asked; `now` is being answered.
 */
export interface QuestionsView {
  questions: Asking[];
  now: string | null;
  review: boolean;
  nameless: boolean;
}
/**
 * A question that somebody asked; `votes` are others who ask it too.
 */
export interface Asking {
  id: string;
  number: number;
  text: string;
  by: string | null;
  name: string | null;
  at: number;
  votes: number;
  state: 'open' | 'answered' | 'merged' | 'waiting' | 'passed' | 'kept';
  answer: string | null;
  answered_at: number | null;
  into: string | null;
}
/**
 * What was asked in a class that is over.
 */
export interface ClassQuestions {
  sitting: string;
  title: string;
  at: number | null;
  recorded: boolean;
  questions: Asking[];
}
export interface NamedAnswer {
  id: string;
  name: string;
  value: unknown;
  right: boolean | null;
}
/**
 * How far each has come in a set; nobody where any of it is without names.
 */
export interface SetProgress {
  polls: number;
  people: {
    id: string;
    name: string;
    answered: number;
  }[];
}
/**
 * What one has answered oneself.
 */
export interface MyAnswer {
  poll: string;
  round: number;
  value: unknown;
}
/**
 * A poll that is kept to be used again; or, with `lesson`, one that a lesson has.
 */
export interface BankPoll {
  id: string;
  course: string;
  question: Question;
  labels: string[];
  changed_at: number;
  lesson: string | null;
}
export interface BoardView {
  pages: string[];
  page_facts: PageRow[];
  marks: Mark[];
  authors: Author[];
  undo: UndoCount[];
  top: number;
  locked: boolean;
}
/**
 * How many steps somebody can take back and do again.
 */
export interface UndoCount {
  person: string;
  done: number;
  undone: number;
}
/**
 * What concerns the whole class and everyone who was let in may know; `handed` are boards of which everyone has a copy of their own.
 */
export interface SittingView {
  id: string;
  title: string;
  course: string;
  starts_at: number;
  minutes: number;
  steps: SittingStep[];
  boards: SittingBoard[];
  places: {
    id: string;
    name: string;
    activity?: string;
  }[];
  rehearsal: boolean;
  status: 'planned' | 'open' | 'ended';
  opened_at: number | null;
  ended_at: number | null;
  moves: {
    step: string;
    at: number;
  }[];
  handed: string[];
  activities: ActivityRow[];
  address: Address | null;
  stretches: {
    from: number;
    to: number | null;
  }[];
  seats: Seat[];
}
/**
 * A step as everyone may know it; what else is planned for it only staff know.
 */
export interface SittingStep {
  id: string;
  title: string;
  minutes: number;
  leads?: 'paper' | 'people' | 'words';
}
export interface SittingBoard {
  id: string;
  name: string;
  first_page?: string;
}
/**
 * One holding of a group plan, as everyone may know it.
 */
export interface ActivityRow {
  id: string;
  name: string;
  step: string | null;
  free: boolean;
  named: boolean;
  rooms: Author[];
  opened_at: number;
  closed_at: number | null;
}
/**
 * Who is heard, or shows a screen, in every room.
 */
export interface Address {
  person: string;
  name: string;
  voice: boolean;
  screen: boolean;
  since: number;
}
/**
 * One person's place in a class.
 */
export interface Seat {
  id: string;
  name: string;
  role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  place: string;
  since: number;
  presence: 'here' | 'dropped' | 'left' | 'out';
}
/**
 * What only the staff of a class know.
 */
export interface StaffView {
  steps: StaffStep[];
  boards: StaffBoard[];
  record_from: string | null;
  cued: string[];
  refused: CueRefusal[];
  waiting: Waiting[];
  removed: {
    id: string;
    name: string;
    role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  }[];
  each: boolean;
  threads: ThreadRow[];
  copies: CopyRow[];
  paired: Paired | null;
  invited: Invited[];
  activities: Activity[];
  polls: StagedPoll[];
}
/**
 * A step with what only staff know of it.
 */
export interface StaffStep {
  id: string;
  title: string;
  minutes: number;
  shortest: number;
  board: string | null;
  notes?: string;
  leads?: 'paper' | 'people' | 'words';
  material?: string | null;
  rules?: {
    [k: string]: boolean;
  } | null;
  cues?: Cue[];
}
/**
 * Something prepared on a step, to be done by one key in class.
 */
export interface Cue {
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
}
export interface StaffBoard {
  id: string;
  name: string;
  audience: 'everyone' | 'staff' | 'people';
  people?: string[];
  owner?: string;
  outside?: 'closed' | 'read' | 'work';
  first_page?: string;
}
/**
 * Why what a cue was to do last could not be done.
 */
export interface CueRefusal {
  cue: string;
  says: string;
}
/**
 * Somebody at the doors; `held` until staff let them in; `link_of` the guest who came by the same link before and was removed.
 */
export interface Waiting {
  id: string;
  name: string;
  role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  since: number;
  held?: boolean;
  link_of?: string;
}
/**
 * A thread, as those who are in it know of it; with `staff` all staff of the class are.
 */
export interface ThreadRow {
  id: string;
  people: Author[];
  staff: boolean;
}
/**
 * Somebody's own copy of a board that was handed out; or that of several, `with` the first.
 */
export interface CopyRow {
  board: string;
  of: string;
  person: string;
  with?: string[];
}
export interface Paired {
  round: string;
  seed: number;
  pairs: PairRow[];
  board?: string;
}
/**
 * Whoever goes first comes first.
 */
export interface PairRow {
  people: string[];
}
/**
 * Who was invited to switch a device on, and what they answered.
 */
export interface Invited {
  person: string;
  device: Device;
  yes: boolean | null;
}
/**
 * An activity as staff know it; `out` are those who were put into no room.
 */
export interface Activity {
  id: string;
  name: string;
  step: string | null;
  plan: GroupPlan;
  seed: number;
  again: number;
  bound: number;
  says: string[];
  state: 'dealt' | 'open' | 'closed';
  rooms: Room[];
  ask_until: number | null;
  out: string[];
  cue?: string;
  cued?: number;
}
/**
 * How people are to be split.
 */
export interface GroupPlan {
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
}
/**
 * `people` are assigned to it, `sat` those who were there.
 */
export interface Room {
  id: string;
  name: string;
  people: string[];
  boards: SittingBoard[];
  sat: string[];
  open: boolean;
  from?: string[] | null;
  shared?: boolean;
}
/**
 * Who was paired with somebody, and they themselves.
 */
export interface Partners {
  round: string;
  people: Author[];
}
/**
 * What is the same for everyone in one place of a class; `hands` in order of asking. The waiting room has `welcome` and its `hosts` instead of the rest.
 */
export interface PlaceView {
  shown: {
    board: string;
    page: string;
  } | null;
  timer: {
    ends_at: number;
    label?: string;
    until_done?: boolean;
  } | null;
  hands: string[];
  floor: {
    person: string;
    with: string[];
    since: number;
    until: number | null;
  } | null;
  leader: string | null;
  pairs: PairsHere | null;
  room: RoomHere | null;
  call: RoomCall | null;
  announced: Announcement[];
  screen: Screen | null;
  clip: Clip | null;
  large: string | null;
  captions: CaptionLine[];
  signals: Signalled[];
  rules: HouseRules;
  welcome: {
    title: string;
    course: string;
    starts_at: number;
    minutes: number;
    rehearsal: boolean;
    cancelled?: boolean;
    words?: string;
    ink?: 'slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber';
    picture?: {
      material: string;
      version: number;
    };
  } | null;
  hosts: Author[];
  begun: boolean;
  oversight: boolean;
  reactions: boolean;
}
/**
 * While people work in pairs: how many there are.
 */
export interface PairsHere {
  round: string;
  size: number;
  pairs: number;
}
/**
 * What a breakout room has.
 */
export interface RoomHere {
  activity: string;
  name: string;
  title: string;
  boards: SittingBoard[];
  words: string;
  ends_at: number | null;
  grace: number;
  warnings: number[];
  free: boolean;
  read: boolean;
  quiet: boolean;
  recorded: boolean;
  leaders: string[];
  opened_at: number;
  closed: boolean;
}
/**
 * A room asks for a visit.
 */
export interface RoomCall {
  person: string;
  name: string;
  since: number;
}
export interface Announcement {
  id: string;
  words: string;
  name: string;
  at: number;
}
/**
 * A screen that is shared; `front` while no board was shown since.
 */
export interface Screen {
  person: string;
  name: string;
  since: number;
  paused: boolean;
  front: boolean;
}
/**
 * What plays for everybody in a place: at `since` it stood at `at`, in ms.
 */
export interface Clip {
  material: string;
  version: number;
  kind: ClipKind;
  title: string;
  length: number;
  playing: boolean;
  at: number;
  since: number;
  speed: number;
  loop: [number, number] | null;
  front: boolean;
  address?: string;
}
export interface CaptionLine {
  id: string;
  words: string;
  lang: string;
  by: string;
  at: number;
}
/**
 * What somebody tells with one tap.
 */
export interface Signalled {
  person: string;
  signal: 'done' | 'yes' | 'no' | 'slower' | 'faster' | 'back_soon' | 'clap';
  at: number;
}
/**
 * `by_step` are those whose answer for all a step has brought.
 */
export interface HouseRules {
  for_all: {
    [k: string]: boolean;
  };
  exceptions: {
    right: string;
    person: string;
    allow: boolean;
  }[];
  by_step: string[];
}
/**
 * To switch a device on; `name` of who asks.
 */
export interface Invitation {
  device: Device;
  name: string;
  place: string;
}
/**
 * To which room somebody is asked to go.
 */
export interface Asked {
  room: string;
  name: string;
  activity: string;
  until: number;
}
/**
 * A room in which somebody sat.
 */
export interface RoomKept {
  activity: string;
  title: string;
  room: string;
  name: string;
  boards: SittingBoard[];
}
export interface ExchangeView {
  posts: Post[];
  pinned: string[];
}
/**
 * Its text is gone once somebody deleted it.
 */
export interface Post {
  id: string;
  by: string;
  name: string;
  to: string;
  at: number;
  text?: string;
  file?: string;
  deleted_by?: string;
  reactions?: Reaction[];
  parked?: 'waiting' | 'done';
}
export interface Reaction {
  person: string;
  sign: 'agree' | 'thanks' | 'good' | 'puzzled';
}
export interface ThreadView {
  posts: Post[];
  pinned: string[];
  people: Author[];
  staff: boolean;
}
export interface OwnCopyRow {
  board: string;
  of: string;
  with?: string[];
}
/**
 * What concerns one person in a class and nobody else.
 */
export interface OwnView {
  place: string | null;
  threads: ThreadRow[];
  boards: SittingBoard[];
  copies: OwnCopyRow[];
  pair: Partners | null;
  asked: Asked | null;
  invitation: Invitation | null;
  rooms: RoomKept[];
}
/**
 * What is to be done in a lesson, and when, as those who teach it know it.
 */
export interface PlanView {
  course_id: string | null;
  number: number | null;
  title: string | null;
  starts_at: number;
  minutes: number;
  steps: Step[];
  record_from: string | null;
  cancelled: boolean;
  held: boolean;
  series: string | null;
  slot: {
    of: string;
    at: number;
    minutes: number;
    title: string;
    dropped?: boolean;
  } | null;
  welcome: string;
  welcome_ink: string | null;
  welcome_picture: string | null;
  invited_only: boolean;
}
export interface Step {
  id: string;
  title: string;
  minutes: number;
  shortest: number;
  notes: string;
  leads: 'paper' | 'people' | 'words';
  board: string | null;
  material: string | null;
  rules: {
    [k: string]: boolean;
  } | null;
  cues: Cue[];
}
/**
 * By which rule (RFC 5545) lessons recur; times as the clock on the wall of the zone shows them.
 */
export interface SeriesPart {
  start: string;
  zone: string;
  minutes: number;
  rule: string;
  except: string[];
  from: string | null;
}
/**
 * Lessons that recur; each part speaks from its `from` on, the first from the beginning.
 */
export interface Series {
  id: string;
  title: string;
  sheet: string | null;
  parts: SeriesPart[];
}
/**
 * A course, and what it keeps; `keep_recordings`: for how many days, for ever where it does not say.
 */
export interface CourseView {
  name: string | null;
  private_in_transcripts: boolean;
  keep_recordings: number | null;
  add_missed: boolean;
  language: string;
  zone: string;
  series: Series[];
}
export interface CoursePerson {
  id: string;
  name: string;
  role: 'instructor' | 'assistant' | 'student';
}
/**
 * Who belongs to a course, and the part each plays there.
 */
export interface PeopleView {
  people: CoursePerson[];
}
export interface EditedBody {
  ops: Op[];
  author?: string;
  way?: 'clear' | 'undo' | 'redo' | 'brought_back';
  sure?: number[];
}
export interface PageAddedBody {
  page: string;
  index: number;
  author?: string;
  ground?: Ground;
}
export interface LaidBody {
  pages: PageRow[];
  author?: string;
}
export interface TakenInBody {
  pages: PageRow[];
  marks: Mark[];
  authors: Author[];
  author?: string;
}
export interface PropUsedBody {
  id: string;
  action: string;
  seed: number;
  shows: Shows;
  author?: string;
}
export interface LockedBody {
  on: boolean;
  author?: string;
}
export interface PointedBody {
  page: string;
  path: number[];
}
export interface BoardsBody {
  boards: SittingBoard[] | StaffBoard[];
}
export interface OpenedBody {}
export interface EndedBody {}
export interface JoinedBody {
  people: {
    id: string;
    name: string;
    role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  }[];
  place: string;
}
export interface SeatedBody {
  people: string[];
  place: string;
}
export interface OutBody {
  people: string[];
}
export interface DroppedBody {}
export interface LeftBody {}
export interface MovedBody {
  step: string;
}
export interface ExtendedBody {
  step: string;
  minutes: number;
}
export interface RecordingBody {
  on: boolean;
  planned?: boolean;
  rooms?: boolean;
}
export interface RoomSetBody {
  activity: string;
  room: string;
  name: string;
  boards?: SittingBoard[];
  from?: string[] | null;
}
export interface HandedOutBody {
  board: string;
}
export interface GatheredInBody {
  board: string;
}
export interface AddressedBody {
  name: string;
  voice: boolean;
  screen: boolean;
}
export interface AddressOverBody {}
export interface WaitsBody {
  id: string;
  name: string;
  role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  held?: boolean;
  link_of?: string;
}
export interface RemovedBody {
  id: string;
  name: string;
  role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
}
export interface LetBackBody {
  people: string[];
}
export interface DoorsSetBody {
  each: boolean;
}
export interface WaitsNoMoreBody {
  people: string[];
}
export interface CuedBody {
  cue: string;
}
/**
 * Why what a cue was to do last could not be done.
 */
export interface CueRefusedBody {
  cue: string;
  says: string;
}
/**
 * A thread, as those who are in it know of it; with `staff` all staff of the class are.
 */
export interface ThreadBegunBody {
  id: string;
  people: Author[];
  staff: boolean;
}
export interface CopiesGivenBody {
  copies: CopyRow[];
}
export interface PairedBody {
  round: string;
  seed: number;
  pairs: PairRow[];
  board?: string;
}
export interface RoomsGivenBody {
  activity: string;
  rooms: {
    id: string;
    board: SittingBoard;
  }[];
}
export interface RoomSharedBody {
  activity: string;
  room: string;
  on: boolean;
}
export interface DealtBody {
  id: string;
  name: string;
  step: string | null;
  plan: GroupPlan;
  seed: number;
  again: number;
  bound: number;
  says: string[];
  rooms: {
    id: string;
    name: string;
    people: string[];
    from?: string[];
  }[];
  cue?: string;
  cued?: number;
}
export interface PollStagedBody {
  id: string;
  question: Question;
  place: string | null;
  set: PollSet | null;
  step: string | null;
}
export interface PollOpenedBody {
  poll: string;
}
export interface PollPutAwayBody {
  poll: string;
}
export interface WasInvitedBody {
  person: string;
  device: Device;
}
export interface AnsweredInvitationBody {
  person: string;
  device: Device;
  yes: boolean;
}
export interface AssignedBody {
  activity: string;
  moves: {
    person: string;
    room: string | null;
  }[];
}
export interface RoomGoneBody {
  activity: string;
  room: string;
}
export interface ShownBody {
  board: string | null;
  page: string | null;
}
export interface TimerSetBody {
  ends_at: number;
  label?: string;
  until_done?: boolean;
}
export interface TimerStoppedBody {}
export interface HandRaisedBody {}
export interface HandLoweredBody {
  person: string;
}
export interface RuledBody {
  right: string;
  allow: boolean;
  person?: string;
}
export interface RulesSetBody {
  rules: {
    [k: string]: boolean;
  };
}
export interface FloorLentBody {
  person: string;
  until: number | null;
  with?: string[];
}
export interface FloorBackBody {}
export interface MutedBody {
  name: string;
  person?: string;
}
export interface ScreenOnBody {
  name: string;
}
export interface ScreenOffBody {}
export interface ScreenPausedBody {
  on: boolean;
}
export interface MadeLargeBody {
  person: string | null;
}
export interface CaptionedBody {
  id: string;
  words: string;
  lang: string;
  took: number;
}
export interface ClipOnBody {
  material: string;
  version: number;
  kind: ClipKind;
  title: string;
  length: number;
  address?: string;
}
export interface ClipSetBody {
  playing: boolean;
  at: number;
  speed: number;
  loop: [number, number] | null;
}
export interface ClipOffBody {}
export interface SpokeBody {
  ms: number;
}
export interface SignalledBody {
  signal: 'done' | 'yes' | 'no' | 'slower' | 'faster' | 'back_soon' | 'clap';
}
export interface SignalOffBody {
  people: string[];
}
export interface SignalsClearedBody {}
export interface TogetherBody {}
export interface RoamingBody {}
/**
 * While people work in pairs: how many there are.
 */
export interface PairsDrawnBody {
  round: string;
  size: number;
  pairs: number;
}
export interface PairsOverBody {}
export interface RoomOpenedBody {
  activity: string;
  name: string;
  title: string;
  boards: SittingBoard[];
  words: string;
  ends_at: number | null;
  grace: number;
  warnings: number[];
  free: boolean;
  read: boolean;
  quiet: boolean;
  recorded: boolean;
  leaders: string[];
}
export interface RoomGivenBody {
  board: SittingBoard;
}
export interface RoomTimedBody {
  ends_at: number | null;
  grace: number;
}
export interface RoomNamedBody {
  name: string;
}
export interface RoomClosedBody {}
export interface CalledBody {
  name: string;
}
export interface CallAnsweredBody {}
export interface AnnouncedBody {
  id: string;
  words: string;
  name: string;
}
export interface ExchangeSetBody {
  oversight?: boolean;
  reactions?: boolean;
}
export interface WelcomedBody {
  title: string;
  course: string;
  starts_at: number;
  minutes: number;
  rehearsal: boolean;
  cancelled?: boolean;
  words?: string;
  ink?: 'slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber';
  picture?: {
    material: string;
    version: number;
  };
}
export interface BegunBody {}
export interface HostCameBody {
  id: string;
  name: string;
}
export interface HostWentBody {
  id: string;
}
export interface PostedBody {
  id: string;
  to: string;
  name: string;
  text: string;
  file?: string;
}
export interface DeletedBody {
  id: string;
}
export interface ReactedBody {
  id: string;
  sign: ('agree' | 'thanks' | 'good' | 'puzzled') | null;
}
export interface PinnedBody {
  id: string;
  on: boolean;
}
export interface ParkedBody {
  id: string;
  parked: ('waiting' | 'done') | null;
}
export interface PlacedBody {
  place: string;
}
export interface CopyGivenBody {
  board: string;
  of: string;
  with?: string[];
}
/**
 * Who was paired with somebody, and they themselves.
 */
export interface PartneredBody {
  round: string;
  people: Author[];
}
/**
 * To which room somebody is asked to go.
 */
export interface AskedBody {
  room: string;
  name: string;
  activity: string;
  until: number;
}
/**
 * A room in which somebody sat.
 */
export interface RoomKeptBody {
  activity: string;
  title: string;
  room: string;
  name: string;
  boards: SittingBoard[];
}
/**
 * To switch a device on; `name` of who asks.
 */
export interface InvitedBody {
  device: Device;
  name: string;
  place: string;
}
export interface InvitationAnsweredBody {}
export interface PollBegunBody {
  question: Question;
  place: string | null;
  set: PollSet | null;
}
export interface RoundOpenedBody {
  round: number;
  from: number;
  ends_at: number | null;
  talk: boolean;
}
export interface RoundClosedBody {
  round: number;
}
export interface RoundClearedBody {
  round: number;
  on: boolean;
}
/**
 * The same as everyone sees it, with what is right if that is told.
 */
export interface PollShownBody {
  round: number;
  tally: Tally;
  since?: number;
  before?: Tally;
  moves?: Moves | null;
  right?: RightAnswer;
  explanation?: string;
}
export interface PollSealedBody {}
export interface QuestionAskedBody {
  id: string;
  number: number;
  text: string;
  state: string;
  by: string | null;
  name: string | null;
  at?: number;
}
export interface QuestionReviewedBody {
  id: string;
  pass: boolean;
}
export interface VotesCountedBody {
  votes: {
    id: string;
    count: number;
  }[];
}
export interface QuestionMergedBody {
  id: string;
  into: string;
}
export interface AnsweringBody {
  id: string | null;
}
export interface QuestionAnsweredBody {
  id: string;
  words: string | null;
}
export interface QuestionsSetBody {
  review: boolean;
  nameless: boolean;
}
export interface CourseBegunBody {
  name: string;
  private_in_transcripts?: boolean;
  keep_recordings?: number | null;
  add_missed?: boolean;
  language?: string;
  zone?: string;
}
export interface CourseSetBody {
  name?: string;
  private_in_transcripts?: boolean;
  keep_recordings?: number | null;
  add_missed?: boolean;
  language?: string;
  zone?: string;
}
/**
 * Lessons that recur; each part speaks from its `from` on, the first from the beginning.
 */
export interface SeriesSetBody {
  id: string;
  title: string;
  sheet: string | null;
  parts: SeriesPart[];
}
export interface EnrolledBody {
  people: CoursePerson[];
}
export interface RoleGivenBody {
  id: string;
  role: 'instructor' | 'assistant' | 'student';
}
export interface TakenOutBody {
  id: string;
}
export interface PlanBegunBody {
  course_id: string;
  number: number;
  steps: Step[];
  title?: string;
  starts_at?: number;
  minutes?: number;
  record_from?: string | null;
  cancelled?: boolean;
  held?: boolean;
  welcome?: string;
  welcome_ink?: string | null;
  welcome_picture?: string | null;
  invited_only?: boolean;
  series?: string | null;
  slot?: {
    of: string;
    at: number;
    minutes: number;
    title: string;
    dropped?: boolean;
  } | null;
}
export interface PlanSetBody {
  title?: string;
  starts_at?: number;
  minutes?: number;
  record_from?: string | null;
  cancelled?: boolean;
  held?: boolean;
  welcome?: string;
  welcome_ink?: string | null;
  welcome_picture?: string | null;
  invited_only?: boolean;
  series?: string | null;
  slot?: {
    of: string;
    at: number;
    minutes: number;
    title: string;
    dropped?: boolean;
  } | null;
  steps?: Step[];
}
export interface StepAddedBody {
  step: {
    id: string;
    title?: string;
    minutes?: number;
    shortest?: number;
    notes?: string;
    leads?: 'paper' | 'people' | 'words';
    board?: string | null;
    material?: string | null;
    rules?: {
      [k: string]: boolean;
    } | null;
    cues?: Cue[];
  };
  after: string | null;
}
export interface StepSetBody {
  id: string;
  set: {
    title?: string;
    minutes?: number;
    shortest?: number;
    notes?: string;
    leads?: 'paper' | 'people' | 'words';
    board?: string | null;
    material?: string | null;
    rules?: {
      [k: string]: boolean;
    } | null;
    cues?: Cue[];
  };
}
export interface StepMovedBody {
  id: string;
  after: string | null;
}
export interface StepTakenBody {
  id: string;
}
export interface Answer {
  allowed: boolean;
  code: string;
  says: string | null;
}
/**
 * What one may do in one place, or on one board outside of class.
 */
export interface Rights {
  speak: Answer;
  camera: Answer;
  share: Answer;
  draw: Answer;
  arrange: Answer;
  add: Answer;
  bring: Answer;
  post: Answer;
  threads: Answer;
  props: Answer;
  record: Answer;
  caption: Answer;
}
/**
 * Of the places of a class that one reads, or of single boards.
 */
export interface RightsByStream {
  [k: string]: Rights;
}
export interface You {
  id: string;
  name: string;
  role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  staff: boolean;
}
/**
 * A stream as it is, or what was missed of it.
 */
export interface StreamPart {
  stream: string;
  head: number;
  view?: unknown;
  entries?: Entry[];
}
export interface Stretch {
  step: string;
  title: string;
  planned: number;
  spent: number;
  state: 'past' | 'now' | 'next';
}
/**
 * Minutes that a step could give.
 */
export interface LessMinutes {
  step: string;
  less: number;
}
/**
 * How the class goes against its plan, in ms; `squeeze` is for staff, when late.
 */
export interface Timing {
  at: number;
  stretches: Stretch[];
  planned_end: number;
  projected_end: number;
  drift: number;
  squeeze?: LessMinutes[];
}
/**
 * A TURN server that one may use.
 */
export interface Relay {
  urls: string[];
  username: string;
  credential: string;
}
/**
 * Who sends sound or picture in a place.
 */
export interface OnStage {
  id: string;
  sound: boolean;
  picture: boolean;
}
/**
 * Which part of what one is sent is whose sound or picture.
 */
export interface StageSlot {
  mid: string;
  person: string;
  kind: 'audio' | 'video';
}
export interface Session {
  csrf: string;
  person: {
    id: string;
    name: string;
    teaches: boolean;
  } | null;
}
/**
 * A ready tool: what it draws, in which ink and how wide (px on the page).
 */
export interface Stick {
  kind: 'stroke' | 'highlight';
  ink: 'slate' | 'brick' | 'moss' | 'lake' | 'plum' | 'umber';
  width: number;
}
export interface Sticks {
  sticks: Stick[] | null;
}
/**
 * What a link is for, before anybody goes in by it.
 */
export interface LookedAt {
  kind: 'personal' | 'class' | 'recording';
  password: boolean;
  name: string | null;
  lesson: LessonOfLink | null;
}
export interface LessonOfLink {
  title: string;
  starts_at: number;
  minutes: number;
  course: string;
  host: string | null;
  known: boolean;
}
/**
 * A link, shown once.
 */
export interface MadeLink {
  id: string;
  token: string;
  expires_at: number | null;
}
export interface LinkRow {
  id: string;
  made_at: number;
  expires_at: number | null;
  password?: boolean;
  accounts_only?: boolean;
  from?: number | null;
  to?: number | null;
}
/**
 * Who came into a lesson's classes by link, and the links that still let people in.
 */
export interface GuestFacts {
  guests: {
    id: string;
    name: string;
    link_id: string | null;
  }[];
  links: LinkRow[];
}
export interface Course {
  id: string;
  name: string;
  zone: string;
  role: string;
}
/**
 * What a course keeps; `keep_recordings`: for how many days, for ever where it does not say.
 */
export interface CoursePolicy {
  private_in_transcripts: boolean;
  keep_recordings: number | null;
  add_missed: boolean;
  language: string;
  zone: string;
}
export interface Finding {
  code: string;
  says: string;
  step: string | null;
  board: string | null;
  page: string | null;
  mark: string | null;
  material: string | null;
}
/**
 * Lessons from one day to another; `more` where there are too many to be told.
 */
export interface CalendarFacts {
  lessons: CalendarLesson[];
  more: boolean;
}
/**
 * A lesson in the calendar: the `number`th `of` those of its course; `said` is which of its series.
 */
export interface CalendarLesson {
  id: string;
  title: string;
  number: number;
  minutes: number;
  role: string;
  starts_at: number;
  course: string;
  of: number;
  course_id: string;
  zone: string;
  host: string | null;
  series: string | null;
  cancelled: boolean;
  held: boolean;
  open: boolean;
  version: number;
  said: string | null;
}
/**
 * Somebody who is in another lesson then; which one, where one may know.
 */
export interface Clash {
  person: {
    id: string;
    name: string;
  };
  role: string;
  lesson: {
    id: string;
    title: string;
  } | null;
}
/**
 * Who would be elsewhere, how many they are, and the nearest day at that time on which nobody would be.
 */
export interface Clashes {
  clashes: Clash[];
  count: number;
  free: number | null;
}
/**
 * A series, each part with how people say it, and when its lessons are by the clock on the wall.
 */
export interface SeriesFacts {
  id: string;
  title: string;
  sheet: string | null;
  parts: {
    start: string;
    zone: string;
    minutes: number;
    rule: string;
    except: string[];
    from: string | null;
    words: string;
  }[];
  slots: string[];
}
/**
 * What a series would come to, with the days that are left out.
 */
export interface SeriesAhead {
  words: string;
  count: number;
  ends: boolean;
  past: number;
  lessons: {
    of: string;
    starts_at: number;
  }[];
  clashing: {
    of: string;
    count: number;
    clashes: Clash[];
  }[];
}
export interface DeskFacts {
  now: number;
  lessons: DeskLesson[];
  waiting: DeskWaiting;
}
export interface DeskLesson {
  id: string;
  title: string;
  number: number;
  minutes: number;
  role: string;
  starts_at: number;
  course: string;
  cancelled: boolean;
  course_id: string;
  host: string | null;
  class: DeskClass | null;
  steps?: {
    title: string;
    minutes: number;
  }[];
  boards?: number;
  record_from?: string | null;
  to_mend?: Finding[];
}
export interface DeskClass {
  id: string;
  status: 'planned' | 'open' | 'ended';
  here: number;
  shared: boolean;
  recorded: number | null;
}
export interface DeskWaiting {
  recordings: {
    id: string;
    title: string;
  }[];
  lessons: {
    id: string;
    title: string;
    count: number;
  }[];
  questions: {
    id: string;
    title: string;
    count: number;
  }[];
}
/**
 * A lesson as staff see it; `version` is the number of the last entry of its plan, and `squeeze` null when there is not that much to spare.
 */
export interface LessonFacts {
  id: string;
  title: string;
  number: number;
  minutes: number;
  role: string;
  starts_at: number;
  course: string;
  course_id: string;
  steps: Step[];
  record_from: string | null;
  version: number;
  cancelled: boolean;
  held: boolean;
  zone: string;
  series: string | null;
  slot: {
    of: string;
    at: number;
    minutes: number;
    title: string;
    dropped?: boolean;
  } | null;
  welcome: string;
  welcome_ink: string | null;
  welcome_picture: string | null;
  invited_only: boolean;
  sheet: {
    total: number;
    minutes: number;
    over: number;
    rows: {
      id: string;
      title: string;
      minutes: number;
      shortest: number;
      notes: string;
      leads: 'paper' | 'people' | 'words';
      board: string | null;
      material: string | null;
      rules: {
        [k: string]: boolean;
      } | null;
      cues: Cue[];
      starts_at: number;
    }[];
    slack: number;
    squeeze: LessMinutes[] | null;
  };
  boards: BoardRow[];
  copies: OwnCopy[];
  to_mend: Finding[];
}
export interface BoardRow {
  id: string;
  name: string;
  lesson_id: string;
  audience: 'everyone' | 'staff' | 'people';
  people: string[];
  outside: 'closed' | 'read' | 'work';
  template: boolean;
  material_id: string | null;
  first_page: string;
  owner_id: string | null;
}
/**
 * Somebody's own copy of a board that was handed out in a class.
 */
export interface OwnCopy {
  id: string;
  name: string;
  copy_of: string;
  outside: 'closed' | 'read' | 'work';
  first_page: string;
  owner: string;
}
/**
 * A lesson as its students see it before and after class.
 */
export interface OpenLesson {
  id: string;
  title: string;
  number: number;
  minutes: number;
  role: string;
  starts_at: number;
  course: string;
  course_id: string;
  boards: {
    id: string;
    name: string;
    outside: 'closed' | 'read' | 'work';
    first_page: string;
  }[];
  copies: OwnCopy[];
}
/**
 * What somebody did on a board since one last looked.
 */
export interface News {
  board: string;
  person: string;
  name: string;
  count: number;
  at: number;
}
/**
 * `recording`: whether there is something to watch afterwards, now or once staff share it; `stage`: whether there are sound and picture; `telephone`: the code by which one calls, for staff.
 */
export interface ClassFacts {
  id: string;
  title: string;
  lesson: string;
  course: string;
  rehearsal: boolean;
  recording: 'none' | 'waiting' | 'ready';
  shared: boolean;
  private_in_transcripts: boolean;
  stage: boolean;
  telephone?: string;
}
/**
 * What one student did in a class so far; `spells` are half minutes in which they did anything.
 */
export interface HeardRow {
  person: string;
  last: number | null;
  spells: number;
  posts: number;
  marks: number;
  answers: number;
  hands: number;
  floors: number;
  signals: number;
  speeches: number;
  spoken: number;
}
/**
 * What one student may do in a place, and what decides it.
 */
export interface SurveyRow {
  person: string;
  rights: {
    speak: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    camera: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    share: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    draw: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    arrange: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    add: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    bring: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    post: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    threads: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    props: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    record: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
    caption: {
      allowed: boolean;
      from: 'staff' | 'floor' | 'exception' | 'step' | 'rule' | 'class' | 'outside';
    };
  };
}
/**
 * Who would be dealt, who is on the roster or in the class, the sizes of rooms that they make, who has met, and what could be held again.
 */
export interface RoomsOffered {
  people: Author[];
  known: Author[];
  offers: number[][];
  met: Met[];
  earlier: EarlierActivity[];
}
export interface Met {
  one: string;
  other: string;
  times: number;
}
export interface EarlierActivity {
  activity: string;
  sitting: string;
  name: string;
  at: number | null;
  rooms: {
    id: string;
    name: string;
    people: string[];
    boards: SittingBoard[];
    shared: boolean;
  }[];
}
/**
 * An activity that is over, with the rooms that one may know of.
 */
export interface PastActivity {
  activity: string;
  sitting: string;
  name: string;
  at: number | null;
  rooms: PastRoom[];
}
export interface PastRoom {
  id: string;
  name: string;
  people: Author[];
  boards: SittingBoard[];
  shared: boolean;
}
/**
 * How a room comes along: `parts` are how much was done in each minute lately, oldest first.
 */
export interface RoomPulse {
  room: string;
  last: number | null;
  quiet: number;
  still: boolean;
  parts: number[];
}
/**
 * How a copy comes along: how often whoever it belongs to did something on it, and when last.
 */
export interface CopyWork {
  board: string;
  of: string;
  person: string;
  edits: number;
  at: number | null;
}
/**
 * A board as it is found among all others.
 */
export interface FoundBoard {
  id: string;
  name: string;
  lesson_id: string;
  lesson: string;
  starts_at: number;
  course_id: string;
  template: boolean;
  audience: 'everyone' | 'staff' | 'people';
  outside: 'closed' | 'read' | 'work';
  material_id: string | null;
  pages: number | null;
  marks: number | null;
  words: string;
  authors: string | null;
  used_at: number | null;
}
export interface BoardChange {
  seq: number;
  at: number;
  by: string;
  way: string | null;
  count: number;
}
/**
 * `newer`: what becomes of a newer version, while there is one that is not ready.
 */
export interface Material {
  id: string;
  title: string;
  course_id: string;
  labels: string[];
  version: number;
  first_slide: number;
  link: string | null;
  name: string;
  type: string;
  kind: 'document' | 'picture' | 'sound' | 'clip' | 'link';
  size: number;
  state: 'waiting' | 'working' | 'ready' | 'failed';
  newer: ('waiting' | 'working' | 'ready' | 'failed') | null;
  slide_count: number | null;
  findings: {
    code: string;
    says: string;
  }[];
  made_at: number;
  facts: {
    poster: boolean;
    seconds?: number | null;
    w?: number | null;
    h?: number | null;
    waveform?: number[];
    codecs?: string[];
  };
  uses?: Use[];
}
/**
 * A board that shows a material.
 */
export interface Use {
  board: string;
  name: string;
  lesson_id: string;
  lesson: string;
}
export interface MaterialFacts {
  id: string;
  title: string;
  course_id: string;
  labels: string[];
  version: number;
  first_slide: number;
  link: string | null;
  name: string;
  type: string;
  kind: 'document' | 'picture' | 'sound' | 'clip' | 'link';
  size: number;
  state: 'waiting' | 'working' | 'ready' | 'failed';
  newer: ('waiting' | 'working' | 'ready' | 'failed') | null;
  slide_count: number | null;
  findings: {
    code: string;
    says: string;
  }[];
  made_at: number;
  facts: {
    poster: boolean;
    seconds?: number | null;
    w?: number | null;
    h?: number | null;
    waveform?: number[];
    codecs?: string[];
  };
  slides: Slide[];
  uses: Use[];
}
export interface Slide {
  slide: number;
  w: number;
  h: number;
  words: string;
}
/**
 * How far a file has come.
 */
export interface Upload {
  id: string;
  offset: number;
  size: number;
  piece: number;
  material?: string;
  lesson?: string;
  recording?: string;
}
export interface RecordingRow {
  id: string;
  title: string;
  course: string;
  at: number;
  length: number;
  shared: boolean;
  staff: boolean;
  number: number;
  size: number;
  chapters: string[];
  taught: string[];
  sound: ('waiting' | 'ready' | 'partly') | null;
  places?: RecordedPlace[];
}
/**
 * Where in a recording something was found, by the time of day.
 */
export interface RecordedPlace {
  at: number;
  words: string;
  board: string | null;
  page: string | null;
  kind: 'post' | 'question' | 'caption' | 'board' | 'slide' | 'poll' | 'chapter';
}
/**
 * `stretches`: what is left to see of the class, from and to; `you`: who one is in it.
 */
export interface RecordingFacts {
  id: string;
  title: string;
  course: string;
  at: number;
  length: number;
  shared: boolean;
  staff: boolean;
  chapters: Chapter[];
  stretches: [number, number][];
  cuts: number;
  rooms: RecordedRoom[];
  tracks: Track[];
  sound: ('waiting' | 'ready' | 'partly') | null;
  boards: SittingBoard[];
  people: {
    id: string;
    name: string;
    role: 'instructor' | 'assistant' | 'student' | 'guest' | 'stand_in';
  }[];
  you: string | null;
  opened: number;
  stopped: number | null;
}
export interface Chapter {
  title: string;
  from: number;
  to: number;
  at: number;
}
/**
 * A breakout room that one may look into while it was open; `heard`: and hear.
 */
export interface RecordedRoom {
  id: string;
  name: string;
  activity: string;
  from: number;
  to: number;
  boards: SittingBoard[];
  heard: boolean;
}
/**
 * What somebody sent from a time of day on, and for how many ms.
 */
export interface Track {
  id: string;
  person: string;
  kind: 'sound' | 'picture' | 'screen';
  from: number;
  length: number;
  room?: string;
}
/**
 * Who watched how many minutes; `minutes`: how many watched each, from the beginning.
 */
export interface RecordingWatching {
  people: {
    name: string;
    minutes: number;
    seen_at: number;
  }[];
  by_link: number;
  from: number;
  minutes: number[];
}
/**
 * What is left of a class, as far as one may watch it; without that the boards that are open.
 */
export interface AfterClass {
  id: string;
  title: string;
  lesson: string;
  number: number;
  course: string;
  staff: boolean;
  opened: number | null;
  ended: number;
  taught: string[];
  said: number;
  posts: number;
  recording: {
    length: number;
    chapters: Chapter[];
    sound: ('waiting' | 'ready' | 'partly') | null;
  } | null;
  boards: {
    id: string;
    name: string;
    pages: number | null;
  }[];
  polls: {
    text: string;
    round: number;
    rows: {
      words: string;
      count: number;
      right?: boolean | null;
    }[];
  }[];
  files: {
    title: string;
    kind: 'document' | 'picture' | 'sound' | 'clip' | 'link';
    address: string;
  }[];
}
/**
 * How much happened in each part of a recording, `every` so many ms; where nothing did; and what one did oneself. Times are ms of the recording.
 */
export interface RecordingHappened {
  every: number;
  parts: number[];
  quiet: [number, number][];
  own: {
    t: number;
    kind: 'post' | 'hand' | 'question' | 'mark';
    words: string | null;
  }[];
}
/**
 * How loud it was in each part of a class, 0 to 100, `every` so many s; and where nobody was heard.
 */
export interface RecordingLevels {
  every: number;
  parts: number[];
  silences: [number, number][];
}
export interface RecordingNote {
  id: string;
  at: number;
  words: string;
}
/**
 * What is made of a recording to be taken away; `done`: what share of it, 0 to 1. One that is outdated was made before the last edit, and is given to nobody.
 */
export interface RecordingExport {
  id: string;
  kind: 'film' | 'zip';
  formats: string[];
  captions: string;
  done: number;
  state: 'waiting' | 'making' | 'ready' | 'failed' | 'outdated';
  says: string | null;
  made_at: number;
  files: {
    name: string;
    size: number;
  }[];
}
/**
 * How a recording was edited, of a class `from` one time of day `to` another.
 */
export interface RecordingEdits {
  parts: RecordingPart[];
  names_hidden: boolean;
  left_out: string[];
  from: number;
  to: number;
  recorded: [number, number][];
  people: {
    id: string;
    name: string;
  }[];
  chapters: {
    at: number;
    title: string | null;
  }[];
}
export interface RecordingPart {
  id: string;
  kind: 'cut' | 'blank' | 'stretch';
  from: number;
  to: number;
}
export interface Captions {
  lang: string;
  lines: CaptionCue[];
}
/**
 * A line of a caption, in ms of the recording.
 */
export interface CaptionCue {
  id: string;
  from: number;
  to: number;
  words: string;
}
export interface RecordedMoment {
  t: number;
  wall: number;
  streams: {
    [k: string]: unknown;
  };
}
export interface RecordedEntries {
  from: number;
  to: number;
  entries: (RecordedEntry | RecordedSeam)[];
}
/**
 * Where a recording goes on: all that is there then.
 */
export interface RecordedSeam {
  kind: 'seam';
  t: number;
  wall: number;
  streams: {
    [k: string]: unknown;
  };
}
