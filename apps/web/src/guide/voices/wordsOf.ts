import { type Content, isRichText, plainOf, type Site, settingsOf } from '@cove/core';

export interface SiteWords {
  site: string;
  title: string;
  text: string;
}

const plainText = (it: Content | undefined): string =>
  it !== undefined && isRichText(it) ? plainOf(it) : '';

/** A title and a few lines of a site's own, for seeing letters in; sample words where it has none yet. */
export function wordsOf(site: Site): SiteWords {
  const widgets = [...site.kinds.widget.values()];
  const title = widgets.find(it => it.widget === 'heading' && typeof it.content.text === 'string')?.content
    .text;
  const text = widgets
    .filter(it => it.widget === 'text')
    .map(it => plainText(it.content.text))
    .find(it => it.length > 40);
  return {
    site: settingsOf(site).name,
    title: typeof title === 'string' && title !== '' ? title : 'A heading in a few words',
    text:
      text ??
      'Running text, as it is read on a page: long enough for a few lines, and short enough to compare.',
  };
}
