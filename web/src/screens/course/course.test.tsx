import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { CoursePerson, You } from '../../api/shapes';
import { connection, ODALYS } from '../../testing/live';
import { CourseName } from './CourseName';
import { CoursePeople } from './CoursePeople';

const PEOPLE: CoursePerson[] = [
  { id: 'odalys', name: 'Odalys Brandt', role: 'instructor' },
  { id: 'nils', name: 'Nils Okafor', role: 'student' },
  { id: 'farah', name: 'Farah Lindqvist', role: 'student' },
];

const shown = (decides: boolean, you: You = ODALYS) => {
  const there = connection({ you });
  render(<CoursePeople id="nav" people={PEOPLE} you={you.id} decides={decides} />, { wrapper: there.wrapper });
  return there;
};
const names = (title: string) =>
  within(screen.getByRole('list', { name: title }))
    .getAllByRole('listitem')
    .map((row) => row.textContent);

it('lists people by the part they play, and lets those look who do not decide', () => {
  shown(false);
  expect(names('Students')).toEqual(['Farah Lindqvist', 'Nils Okafor']);
  expect(screen.queryByRole('list', { name: 'Assistants' })).toBeNull();
  expect(screen.queryByRole('button')).toBeNull();
});

it('takes nobody out without asking, and gives others their part at once', () => {
  const { asked } = shown(true);
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Part of Nils Okafor' }));
  fireEvent.click(screen.getByRole('option', { name: 'Take out of the course' }));
  expect(screen.getByRole('alert').textContent).toBe('They would not get in any more. What they did stays.');
  expect(asked()).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Part of Farah Lindqvist' }));
  fireEvent.click(screen.getByRole('option', { name: 'Assistant' }));
  expect(asked()).toEqual([['people.give_role', { person: 'farah', role: 'assistant' }]]);
});

it('asks before one lays down one’s own part', () => {
  const { asked } = shown(true);
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Part of Odalys Brandt' }));
  fireEvent.click(screen.getByRole('option', { name: 'Student' }));
  expect(asked()).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: 'Become student' }));
  expect(asked()).toEqual([['people.give_role', { person: 'odalys', role: 'student' }]]);
});

it('keeps what is typed of a name while somebody else renames the course', () => {
  const there = connection({ you: ODALYS });
  const { rerender } = render(<CourseName id="nav" name="Navigation" decides />, { wrapper: there.wrapper });
  fireEvent.click(screen.getByRole('button', { name: 'Rename' }));
  fireEvent.change(screen.getByRole('textbox'), { target: { value: 'Tides' } });
  rerender(<CourseName id="nav" name="Theirs" decides />);
  expect(screen.getByRole('textbox')).toHaveProperty('value', 'Tides');
  fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
  expect(screen.getByRole('heading').textContent).toBe('Theirs');
});

it('keeps what is typed of a name that was refused', async () => {
  const there = connection({ you: ODALYS });
  render(<CourseName id="nav" name="Navigation" decides />, { wrapper: there.wrapper });
  fireEvent.click(screen.getByRole('button', { name: 'Rename' }));
  fireEvent.change(screen.getByRole('textbox'), { target: { value: '  Tides ' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  const said = there.socket.said.findLast(({ t }) => t === 'do')!;
  expect(said.with).toEqual({ name: 'Tides' });
  there.tell({ t: 'refused', id: said.id as string, code: 'staff_only', says: 'Only instructors decide that.' });
  await waitFor(() => expect(there.client.connection.trouble?.says).toBe('Only instructors decide that.'));
  expect(screen.getByRole('textbox')).toHaveProperty('value', '  Tides ');
});
