import { Fragment } from 'react';

/** What is taken for an address in a post: up to the next space, without what ends a sentence or a bracket around it. */
const ADDRESS = /\bhttps?:\/\/[^\s<>"]*[^\s<>".,;:!?)\]}]/g;

/** The words of a post, in which addresses lead there: in a page of their own, which learns nothing of this one. */
export function PostText({ text }: { text: string }) {
  const parts: { from: number; words: string; link: boolean }[] = [];
  let from = 0;
  for (const { 0: address, index } of text.matchAll(ADDRESS)) {
    parts.push({ from, words: text.slice(from, index), link: false }, { from: index, words: address, link: true });
    from = index + address.length;
  }
  parts.push({ from, words: text.slice(from), link: false });
  return parts.map(({ from: key, words, link }) =>
    link ? (
      <a key={key} href={words} target="_blank" rel="noopener noreferrer nofollow">
        {words}
      </a>
    ) : (
      <Fragment key={`${key} words`}>{words}</Fragment>
    ),
  );
}
