import { accordionLooks } from './accordion.ts';
import { buttonLooks } from './button.ts';
import { buttonRowLooks } from './buttonRow.ts';
import { calloutLooks } from './callout.ts';
import { columnLooks } from './column.ts';
import { dividerLooks } from './divider.ts';
import { featureLooks } from './feature.ts';
import { fieldLooks } from './field.ts';
import { formLooks } from './form.ts';
import { groupLooks } from './group.ts';
import { headingLooks } from './heading.ts';
import { iconLooks } from './icon.ts';
import { listLooks } from './list.ts';
import { longTextLooks } from './longText.ts';
import type { ReadyLook } from './look.ts';
import { navigationLooks } from './navigation.ts';
import { noticeLooks } from './notice.ts';
import { pageListLooks } from './pageList.ts';
import { pictureLooks } from './picture.ts';
import { preformattedLooks } from './preformatted.ts';
import { quoteLooks } from './quote.ts';
import { sectionLooks } from './section.ts';
import { siteTitleLooks } from './siteTitle.ts';
import { tableLooks } from './table.ts';
import { tabsLooks } from './tabs.ts';
import { textLooks } from './text.ts';

export type { ReadyLook } from './look.ts';
export { takeLook } from './takeLook.ts';

/** Ready looks of every widget. */
export const READY_LOOKS: readonly ReadyLook[] = [
  ...headingLooks,
  ...textLooks,
  ...longTextLooks,
  ...listLooks,
  ...quoteLooks,
  ...calloutLooks,
  ...tableLooks,
  ...preformattedLooks,
  ...buttonLooks,
  ...buttonRowLooks,
  ...noticeLooks,
  ...formLooks,
  ...fieldLooks,
  ...pictureLooks,
  ...iconLooks,
  ...featureLooks,
  ...dividerLooks,
  ...groupLooks,
  ...columnLooks,
  ...accordionLooks,
  ...tabsLooks,
  ...sectionLooks,
  ...siteTitleLooks,
  ...navigationLooks,
  ...pageListLooks,
];

/** Those of one element. */
export const looksOf = (element: string): ReadyLook[] => READY_LOOKS.filter(it => it.element === element);
