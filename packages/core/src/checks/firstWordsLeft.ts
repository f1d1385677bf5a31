import { type Content, printContent } from '../content/index.ts';
import { elementOfNode, type Id, stableText, type WidgetRecord } from '../site/index.ts';
import { sampleWords } from '../starters/sections/sampleWords.ts';
import { ELEMENTS, type ElementType, type Held } from '../widgets/index.ts';
import { defineCheck } from './check.ts';

/** What new widgets of each element, and those of ready sections, say before anybody wrote in them, by element and field. */
function firstWords(): ReadonlyMap<string, ReadonlySet<string>> {
  const found = new Map<string, Set<string>>();
  const note = (element: ElementType, content: Readonly<Record<string, Content>>) => {
    for (const [name, value] of Object.entries(content)) {
      const type = element.content[name]?.type;
      if ((type !== 'plain' && type !== 'rich') || value === '') continue;
      // Words that can be published as they are ask nobody to replace them.
      if (stableText(value) === stableText(element.sample[name])) continue;
      const key = `${element.name} ${name}`;
      found.set(key, (found.get(key) ?? new Set()).add(stableText(value)));
    }
  };
  const visit = (held: readonly Held[]) => {
    for (const { widget, content, holds = [] } of held) {
      const element = ELEMENTS.find(it => it.name === widget);
      if (element && content) note(element, content);
      visit(holds);
    }
  };
  for (const element of ELEMENTS) {
    note(element, element.begins);
    visit(element.holdsAtFirst ?? []);
  }
  for (const [key, words] of sampleWords()) found.set(key, new Set([...(found.get(key) ?? []), ...words]));
  return found;
}

let known: ReturnType<typeof firstWords> | null = null;
/** Worked out when it is first asked for: most visits to the program run no check. */
const wordsAtFirst = () => (known ??= firstWords());

/** Fields of a widget that still say what they said at first. */
export const firstWordsIn = ({ widget, content }: Pick<WidgetRecord, 'widget' | 'content'>): string[] =>
  Object.entries(content).flatMap(([field, value]) =>
    wordsAtFirst().get(`${widget} ${field}`)?.has(stableText(value)) ? [field] : [],
  );

export const firstWordsLeft = defineCheck<{ node: Id; field: string }>({
  id: 'first-words-left',
  title: 'Words that were never replaced',
  severity: 'fault',
  thresholds: {},
  docs: 'New widgets and ready sections say what belongs in them, such as “Write the text here.” Visitors should not read that (common practice, no source). Write your own words, or delete the widget.',
  dependsOn: ['widget'],
  run(site) {
    return [...site.kinds.widget.values()].flatMap(record =>
      firstWordsIn(record).map(field => ({
        at: { record: record.id, path: `content.${field}` },
        facts: { node: record.id, field },
      })),
    );
  },
  message({ node, field }, site) {
    const record = site.kinds.widget.get(node);
    const element = record && elementOfNode(record);
    const type = element?.content[field];
    const words = record && type ? printContent(type, record.content[field] ?? '') : '';
    return `${element?.label ?? 'A widget'} still says “${words}”.`;
  },
});
