/** @returns the things by what a function says of each, in the order in which they come */
export function grouped<Thing, Key>(things: Thing[], key: (thing: Thing) => Key): Map<Key, Thing[]> {
  const found = new Map<Key, Thing[]>();
  for (const thing of things) {
    const of = found.get(key(thing));
    if (of) of.push(thing);
    else found.set(key(thing), [thing]);
  }
  return found;
}
