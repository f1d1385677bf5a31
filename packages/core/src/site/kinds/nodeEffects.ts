import type { Styles } from '../../slots/index.ts';
import type { At, Declaring } from '../records.ts';
import { type Effects, onlyDiffer } from './effects.ts';
import { sameParts } from './styled.ts';

interface Node extends Declaring {
  readonly at: At;
  readonly styles: Styles;
}

/** What follows from an edit of something that stands on a page. */
export function nodeEffects<R extends Node>(was: R | undefined, is: R | undefined): Effects {
  if (!was || !is || was.at.parent !== is.at.parent || was.at.order !== is.at.order)
    return { rules: 'own', markup: 'place' };
  const isDress = onlyDiffer(was, is, ['styles', 'declarations']) && sameParts(was, is);
  return { rules: 'own', markup: isDress ? 'none' : 'self' };
}
