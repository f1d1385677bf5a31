import { type ContentMapping, type LinkTarget, mapContent } from '../../content/index.ts';
import { mentionsOf } from '../../reach/mentions.ts';
import {
  type Edit,
  editOf,
  getRecord,
  type Id,
  removeRecord,
  type Site,
  type WidgetRecord,
} from '../../site/index.ts';
import { elementNamed } from '../../widgets/index.ts';
import { rulesAbout } from '../rules/placedRules.ts';

/** The same widget with other links; the very one where none differs. */
export function relinked<T extends Pick<WidgetRecord, 'widget' | 'content'>>(
  widget: T,
  link: (link: LinkTarget) => LinkTarget,
): T {
  const mapping: ContentMapping = { link, asset: id => id, drawn: id => id };
  const fields = elementNamed(widget.widget).content;
  const content = Object.fromEntries(
    Object.entries(widget.content).map(([name, value]) => {
      const field = fields[name];
      return [name, field ? mapContent(field, value, mapping) : value];
    }),
  );
  return Object.entries(content).every(([field, value]) => value === widget.content[field])
    ? widget
    : { ...widget, content };
}

/** What has to be said elsewhere before pages or things leave: links to them lead on, rules for them go. */
export function partFrom(
  site: Site,
  leaving: ReadonlySet<Id>,
  instead: (link: LinkTarget) => LinkTarget,
): Edit[] {
  const users = new Set([...leaving].flatMap(id => mentionsOf(site, id).map(mention => mention.from)));
  const links = [...users]
    .filter(user => !leaving.has(user))
    .flatMap((user): Edit[] => {
      const record = getRecord(site, user);
      if (record?.kind !== 'widget') return [];
      const next = relinked(record, instead);
      return next === record ? [] : [editOf(record).set('content', next.content)];
    });
  const rules = rulesAbout(site, id => leaving.has(id)).map(({ id }): Edit => removeRecord(id));
  return [...links, ...rules];
}
