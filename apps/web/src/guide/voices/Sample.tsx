import { type Family, familyValue } from '@cove/core';
import type { CSSProperties } from 'react';
import { familyCss } from '../../drawings/drawn.ts';
import type { SiteWords } from './wordsOf.ts';

/** A button whose name is a few words and whose reach is all that stands around it. */
export const COVERING =
  'text-small font-semibold after:absolute after:inset-0 hover:text-teal aria-pressed:text-teal';

export const letters = (family: Family): CSSProperties => ({ fontFamily: familyCss(familyValue(family)) });

/** A title and a few lines, set in the letters that are looked at; its words are told elsewhere. */
export const Sample = ({
  words,
  title,
  text,
}: {
  words: SiteWords;
  title: CSSProperties;
  text: CSSProperties;
}) => (
  <span aria-hidden className="mb-1 block">
    <span className="block truncate text-[23px] leading-tight" style={title}>
      {words.title}
    </span>
    <span className="line-clamp-2 text-[14px] leading-snug" style={text}>
      {words.text}
    </span>
  </span>
);
