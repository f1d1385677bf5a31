import { type Edit, elementNamed, firstWordsIn } from '@cove/core';

const many = (count: number, one: string, several: string): string =>
  `${count} ${count === 1 ? one : several}`;

/** What some new things ask their writer for, in words. */
export function asksFor(edits: readonly Edit[]): string {
  let texts = 0;
  let pictures = 0;
  for (const edit of edits) {
    if (edit.op !== 'put' || edit.record.kind !== 'widget') continue;
    const { widget, content } = edit.record;
    const element = elementNamed(widget);
    texts += firstWordsIn(edit.record).length;
    if ((element.sample.alt ?? '') === '') continue;
    for (const [name, { type }] of Object.entries(element.content))
      if (type === 'asset' && content[name] === null) pictures++;
  }
  const words = [
    ...(texts > 0 ? [many(texts, 'text to write', 'texts to write')] : []),
    ...(pictures > 0 ? [many(pictures, 'picture to choose', 'pictures to choose')] : []),
  ];
  return words.length === 0 ? 'Nothing to rewrite' : words.join(', ');
}
