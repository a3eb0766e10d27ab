import { STAFF, WASHES } from '../../api/contracts';

/** `Odalys Brandt` → `OB`. */
export function initials(name: string): string {
  const words = name
    .replace(/\(.*\)/, '')
    .trim()
    .split(/\s+/);
  return ((words[0]?.[0] ?? '') + (words.length > 1 ? words.at(-1)![0]! : '')).toUpperCase();
}

/** What people are called in a recording that hides names. */
const NUMBERED = /^Student \d+$/;

/** `Odalys Brandt` → `Odalys`; whoever is a number is the whole of it. */
export const firstName = (name: string) => (NUMBERED.test(name) ? name : name.split(' ')[0]!);

const washes = Object.values(WASHES);

/** Each person's own wash, the same on every screen. */
export function washOf(id: string): string {
  let sum = 0;
  for (const character of id) sum = (sum * 31 + character.codePointAt(0)!) % 997;
  return washes[sum % washes.length]!;
}

/** Whether somebody teaches the class, as the core has it. */
export const isStaff = ({ role }: { role: string }) => STAFF.includes(role);
