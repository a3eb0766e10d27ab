import type { Mark } from '../../api/shapes';

/** Who asks, and what the server says they may do on this board. */
export interface Asking {
  me: { id: string; staff: boolean };
  mayDraw: boolean;
  mayArrange: boolean;
  mayProp: boolean;
}

/**
 * Whether somebody may change a mark or take it off. The server decides; this tells beforehand what it will say, and is held to the
 * core's own answers by `spec/golden/may_change.json`.
 */
export const mayChange = ({ me, mayDraw, mayArrange }: Asking, mark: Mark): boolean =>
  mayDraw && (me.staff || (!mark.locked && (mark.by === me.id || mayArrange)));

/** As {@link mayChange}, for moving: pieces are there to be moved about by all who may use props. */
export const mayMove = (who: Asking, mark: Mark): boolean =>
  mayChange(who, mark) || (who.mayDraw && mark.kind === 'prop' && who.mayProp && !mark.locked);
