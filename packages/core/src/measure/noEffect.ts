import {
  type Contributions,
  contributionsTo,
  outside,
  partScope,
  type Scope,
  winner,
} from '../cascade/index.ts';
import type { PartKind, PropertyName, PropertyRow } from '../properties/index.ts';
import type { Site } from '../site/index.ts';
import type { State, Width } from '../slots/index.ts';
import { partOf } from '../widgets/index.ts';

/** A part in a situation, with all that is said of it. */
export interface Asking {
  site: Site;
  /** Where it stands; null for what stands nowhere, such as a preset. */
  scope: Scope | null;
  part: string;
  said: Contributions;
  state: State;
  width: Width;
}

const keywordOf = (
  said: Contributions,
  property: 'display' | 'float' | 'position' | 'textDecorationLine',
  state: State,
  width: Width,
): string | null => {
  const value = winner(said.get(property), state, width)?.value;
  return value?.type === 'keyword' ? value.value : null;
};

const FLEX = new Set<string | null>(['flex', 'inline-flex']);
const arranges = (display: string | null): boolean => FLEX.has(display) || display === 'grid';

/** Whether these work is told by the arrangement of the part, whatever its kind. */
const ARRANGING = new Set<PropertyName>([
  'flexDirection',
  'flexWrap',
  'gridColumns',
  'inView',
  'alignItems',
  'justifyContent',
  'justifyItems',
  'rowGap',
  'columnGap',
]);
/** What inline text has not: CSS 2.2, sections 10.2 to 10.7. */
const OF_BLOCKS = new Set<PropertyName>([
  'width',
  'maxWidth',
  'height',
  'minHeight',
  'aspectRatio',
  'marginTop',
  'marginBottom',
]);

/** What a part of a grid alone has (CSS Grid Layout 2, section 8). */
const OF_CELLS = new Set<PropertyName>(['columnStart', 'columnSpan', 'rowStart', 'rowSpan']);
/** What parts of a flex container or grid alone have: CSS Flexbox 1, sections 4.3 and 8.3. */
const OF_ITEMS = new Set<PropertyName>(['inFront', 'alignSelf']);

const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;

const KIND_WORDS: Record<PartKind, string> = {
  box: 'boxes',
  heading: 'headings',
  text: 'texts',
  label: 'labels',
  icon: 'icons',
  picture: 'pictures',
  ground: 'layers behind a section',
  mark: 'mounts and marks of pictures',
  edge: 'edges of a section',
};

/** How what holds a part is arranged; items of flex and grid are blocks, whatever they say themselves. */
function displayAround({ site, scope, part, state, width }: Asking): string | null {
  if (!scope) return null;
  let around = outside({ scope: partScope(scope, part), part, state });
  // What has no box of its own leaves the arranging to what holds it (CSS Display 3, section 2.5).
  for (;;) {
    if (!around) return null;
    const display = keywordOf(contributionsTo(site, around.scope, around.part), 'display', state, width);
    if (display !== 'contents') return display;
    around = outside(around);
  }
}

/** Why a property would do nothing on a part as it stands; null where it works. */
export function noEffect(row: PropertyRow, asking: Asking): string | null {
  const { scope, said, state, width } = asking;
  const part = scope ? partOf(scope.element, asking.part) : undefined;
  if (part && row.kinds && !row.kinds.includes(part.kind) && !ARRANGING.has(row.name))
    return `only ${row.kinds.map(kind => KIND_WORDS[kind]).join(' and ')} have it.`;
  // What stays in view does so at these distances (CSS Positioned Layout 3, section 3.4).
  const stays = keywordOf(said, 'position', state, width) === 'sticky';
  if (part && row.placed && !part.placed && !stays) return 'it stands where its neighbours leave it room.';
  // CSS Display 3, section 2.7, and CSS Flexbox 1, section 3.
  if (row.name === 'float' || row.name === 'clear') {
    if (part?.placed === true) return 'it stands in a place of its own.';
    if (arranges(displayAround(asking))) return 'what holds it puts things in rows, columns or a grid.';
  }
  if (part?.placed === true && row.name === 'order') return 'it stands in a place of its own.';
  const display = keywordOf(said, 'display', state, width);
  if ((row.box === 'gap' || row.name === 'alignItems' || row.name === 'justifyContent') && !arranges(display))
    return 'only parts arranged as flex or grid have it.';
  if ((row.name === 'flexDirection' || row.name === 'flexWrap') && !FLEX.has(display))
    return 'only parts arranged as flex have it.';
  if (row.name === 'inView' && !part?.counts) return 'only rows of what shares a view have it.';
  if ((row.name === 'gridColumns' || row.name === 'inView') && display !== 'grid')
    return 'only parts arranged as grid have it.';
  if (OF_CELLS.has(row.name) || OF_ITEMS.has(row.name)) {
    const around = displayAround(asking);
    if (around !== null && !part?.placed && !stays)
      if (OF_CELLS.has(row.name) ? around !== 'grid' : !arranges(around))
        return `what holds it is arranged as ${around}.`;
  }
  // In a block some browsers follow it, so nothing is said there (CSS Box Alignment Level 3, section 6.1).
  if (row.name === 'justifyItems' && FLEX.has(display)) return 'parts arranged as flex have no cells.';
  const floats = (keywordOf(said, 'float', state, width) ?? 'none') !== 'none';
  if (display === 'inline' && !floats && OF_BLOCKS.has(row.name) && !arranges(displayAround(asking)))
    return 'inline text has no width or height of its own, nor room above and below it.';
  for (const side of SIDES)
    if (row.name === `border${side}Color` || row.name === `border${side}Width`) {
      const style = winner(said.get(`border${side}Style`), state, width)?.value;
      if (style?.type !== 'keyword' || style.value === 'none') return 'the line has no style yet.';
    }
  if (
    /^textDecoration(Color|Thickness)$/.test(row.name) &&
    (keywordOf(said, 'textDecorationLine', state, width) ?? 'none') === 'none'
  )
    return 'there is no underline.';
  return null;
}
