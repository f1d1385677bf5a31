import { type Content, type ContentField, isRichText, type RichText } from '../../content/index.ts';
import { accepts, type PartKind, type PropertyName, propertyOf } from '../../properties/index.ts';
import { must } from '../../result/index.ts';
import { parseSlot, type State, type Styles } from '../../slots/index.ts';
import { parseLiteral, role, type Value } from '../../values/index.ts';
import type { Looks } from './looks.ts';
import type { MarkupContext, VElement } from './markup.ts';

export interface Part {
  label: string;
  kind: PartKind;
  /** The name by which presets made for a use know it, besides its kind. */
  as?: string;
  /** The part whose states it follows; its own where left out and `states` are given, else the first part's. */
  host?: string;
  /** States it can be in besides rest. */
  states?: readonly State[];
  /** The part whose being open or chosen is its selected state, where that is another than the host of its other states. */
  selectedWith?: string;
  /** The part it stands in; one that stands in none is outermost, and stands in what holds the element. */
  inside?: string;
  /** The part it stands in, where that depends on what is said; `inside` in any other case. */
  insideOf?(content: Readonly<Record<string, Content>>, holder: Readonly<Record<string, Content>>): string;
  /** Of an outermost part of an item: the part of the holder that its view is placed in; the one for widgets where left out. */
  placedIn?: string;
  /** The parts inside it of which one is used: its states are those of that control (`:has(…)`), a pointer's are its own. */
  within?: readonly string[];
  /** No element of its own: a pseudo-element of the part it stands in. */
  pseudo?: 'placeholder' | 'marker' | 'first-letter';
  /** Out of the flow, in a place of its own: always, or while it is open. */
  placed?: true | 'opened';
  /** Of those that stand beside each other, only the first has it. */
  onFirst?: true;
  /** What it shows under a pointer it shows by touch too, until something else is touched, and while it or what is in it has the focus, if it has no look of its own for that; no control has that. */
  byTouch?: true;
  /** Some property of it counts with its gap, which it carries as a custom property too. */
  counts?: true;
  /** The content field whose words it shows, so that they can be edited where they stand. */
  shows?: string;
}

/** What elements are for, in the order in which they are shown. */
export const ELEMENT_FAMILIES = [
  { name: 'text', label: 'Text' },
  { name: 'pointing', label: 'Pointing out' },
  { name: 'picture', label: 'Pictures and icons' },
  { name: 'turns', label: 'Taking turns' },
  { name: 'action', label: 'Buttons' },
  { name: 'form', label: 'Forms' },
  { name: 'navigation', label: 'Navigation' },
  { name: 'structure', label: 'Structure' },
] as const;
export type ElementFamily = (typeof ELEMENT_FAMILIES)[number]['name'];

/** A widget within another that is about to be made or shown; what it does not say is as it is at first, or in its sample. */
export interface Held {
  widget: string;
  content?: Readonly<Record<string, Content>>;
  holds?: readonly Held[];
}

/** A kind of thing that the guide has a default for. */
export interface ElementType {
  name: string;
  label: string;
  /** Purpose under which it is offered. */
  family: ElementFamily;
  /** What it is, in a few words; where it can be added by itself. */
  about?: string;
  /** Everyday words that find it, besides its name. */
  words?: string;
  /** In the order the element stands in the tree; the first is the outermost. */
  parts: Readonly<Record<string, Part>>;
  /** Axes of its variants, in the order in which they rank. */
  axes: readonly string[];
  /** What a guide can take as variants, by axis and name. */
  looks?: Looks;
  /** Of these, axes whose variants show in long-form text alone. */
  longFormAxes?: readonly string[];
  /** The part that widgets are placed in; null where it takes none. */
  holds: string | null;
  /** The items that alone can stand in it; any widget that is no item where left out. */
  accepts?: readonly string[];
  /** Of an item: the only elements that it can stand in. */
  onlyIn?: readonly string[];
  /** What it holds is closed at times, and shows on the canvas while something in it is edited. */
  closes?: true;
  /** What stands in it is long-form text. */
  longForm?: true;
  /** What a new one holds; nothing where left out. */
  holdsAtFirst?: readonly Held[];
  /** What it is shown with while it stands on no page; two buttons where left out. */
  sampleHolds?: readonly Held[];
  /** What the program itself says, lowest of all origins. */
  program: Styles;
  /** What it says besides where it lies over the first section of a page. */
  whenOver?: Styles;
  /** Declarations below all ranks, by part or `tag.part`: what undoes a browser’s ways that no property here can. */
  base?: Readonly<Record<string, string>>;
  content: Readonly<Record<string, ContentField>>;
  /** It shows what the settings of other pages say of them, besides their names. */
  listsPages?: true;
  /** The published module that it needs, as text; see `behaviour.ts` beside it. */
  behaviour?: string;
  /** Whether one that says this needs it, and is styled so, on a page: `says` tells the words that hold at some width; always where left out. */
  needsBehaviour?(
    content: Readonly<Record<string, Content>>,
    says: (part: string, property: PropertyName) => readonly string[],
    page: { readonly headerFollows: boolean },
  ): boolean;
  /** Rules below all ranks that no declaration can say; each where a page has all the parts that it names. */
  css?: readonly string[];
  /** The same for browsers that run no script; what is drawn by the program’s own hand runs none and needs none. */
  cssWithoutScripts?: readonly string[];
  /** Of an item: what carries its content where it cannot stand, before what stands in it. */
  loose?(content: Readonly<Record<string, Content>>): readonly Held[];
  /** Of an item: what its holder says where it is shown by itself, beyond the holder’s own sample. */
  holderSample?: Readonly<Record<string, Content>>;
  /** What it is shown with in the specimen. */
  sample: Readonly<Record<string, Content>>;
  /** What a new one begins with: words that ask to be replaced, and nothing that would be wrong if it were published. */
  begins: Readonly<Record<string, Content>>;
  markup?(content: Readonly<Record<string, Content>>, context: MarkupContext): VElement;
  /** Of an item: further pieces of it, which its holder places where its markup asks for them by name. */
  views?: Readonly<
    Record<string, (content: Readonly<Record<string, Content>>, context: MarkupContext) => VElement>
  >;
  /** One line that names an instance in the outline. */
  summary?(content: Readonly<Record<string, Content>>): string;
}

/** Completes an element with what the program says of every part: its size counts to the outer edge of its border. */
export function element(type: ElementType): ElementType {
  const every = Object.entries(type.parts)
    .filter(([, part]) => part.pseudo === undefined)
    .map(([part]) => [`${part}/boxSizing`, { type: 'keyword', value: 'border-box' }] as const);
  return { ...type, program: { ...Object.fromEntries(every), ...type.program } };
}

/** Written as a person would type it: `role.text`, `1rem`, `none`. Misspelt ones throw when the program is loaded. */
export function programStyles(styles: Record<string, string | number>): Styles {
  const read = (slot: string, text: string): Value => {
    const parts = parseSlot(slot);
    if (!parts || parts.property === 'textStyle') throw new Error(`no slot ${slot}`);
    const row = propertyOf(parts.property);
    if (text.startsWith('role.')) return role(text.slice(5));
    if (row.keywords?.includes(text)) return { type: 'keyword', value: text };
    for (const type of row.accepts) {
      const value = parseLiteral(text, type);
      if (value) return must(accepts(row, value));
    }
    throw new Error(`${slot} does not take ${text}`);
  };
  return Object.fromEntries(Object.entries(styles).map(([slot, text]) => [slot, read(slot, String(text))]));
}

export const plain = (content: Readonly<Record<string, Content>>, field: string): string => {
  const value = content[field];
  return typeof value === 'string' ? value : '';
};
export const rich = (content: Readonly<Record<string, Content>>, field: string): RichText => {
  const value = content[field];
  return isRichText(value) ? value : [];
};
