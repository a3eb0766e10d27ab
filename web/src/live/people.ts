import type { Entry, PeopleView } from '../api/shapes';
import type { Fold } from './fold';

export type PeopleState = PeopleView;

/** Follows who belongs to a course, as `Core::Courses::People` does. */
export const peopleFold: Fold<PeopleState> = {
  from: (view) => view as PeopleState,
  apply(state, { kind, body }: Entry) {
    switch (kind) {
      case 'enrolled': {
        const fresh = body.people.map(({ id }) => id);
        return { people: [...state.people.filter(({ id }) => !fresh.includes(id)), ...body.people] };
      }
      case 'role_given':
        return { people: state.people.map((one) => (one.id === body.id ? { ...one, role: body.role } : one)) };
      case 'taken_out':
        return { people: state.people.filter(({ id }) => id !== body.id) };
      default:
        return state;
    }
  },
};
