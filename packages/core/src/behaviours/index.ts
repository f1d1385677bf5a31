import { start as embed } from '../widgets/embed/behaviour.ts';
import { start as gallery } from '../widgets/gallery/behaviour.ts';
import { start as help } from '../widgets/help/behaviour.ts';
import { start as notice } from '../widgets/notice/behaviour.ts';
import { start as slides } from '../widgets/slides/behaviour.ts';
import { start as tabs } from '../widgets/tabs/behaviour.ts';

/** What widgets do beyond their markup, by the name of the element: started on a page, each answers with what stops it. */
export const BEHAVIOURS: Readonly<Record<string, (root: Document | Element) => () => void>> = {
  embed,
  gallery,
  help,
  notice,
  slides,
  tabs,
};

/** Starts all of them on a page. */
export function startBehaviours(root: Document): () => void {
  const stops = Object.values(BEHAVIOURS).map(start => start(root));
  return () => {
    for (const stop of stops) stop();
  };
}
