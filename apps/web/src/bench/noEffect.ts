import {
  type Contributions,
  type Part,
  type PartKind,
  type PropertyName,
  type PropertyRow,
  type State,
  type Width,
  winner,
} from '@cove/core';

const keywordOf = (
  contributions: Contributions,
  property: 'display' | 'textDecorationLine',
  state: State,
  width: Width,
): string | null => {
  const value = winner(contributions.get(property), state, width)?.value;
  return value?.type === 'keyword' ? value.value : null;
};

/** Whether these work is told by the arrangement of the part, whatever its kind. */
const ARRANGING = new Set<PropertyName>([
  'flexDirection',
  'flexWrap',
  'gridColumns',
  'alignItems',
  'justifyContent',
  'justifyItems',
  'rowGap',
  'columnGap',
]);

const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;

const KIND_WORDS: Record<PartKind, string> = {
  box: 'boxes',
  heading: 'headings',
  text: 'texts',
  label: 'labels',
  icon: 'icons',
  picture: 'pictures',
  ground: 'layers behind a section',
  edge: 'edges of a section',
};

/** Why a property would do nothing on a part as it stands; null where it works. */
export function noEffect(
  row: PropertyRow,
  part: Part | undefined,
  contributions: Contributions,
  state: State,
  width: Width,
): string | null {
  if (part && row.kinds && !row.kinds.includes(part.kind) && !ARRANGING.has(row.name))
    return `only ${row.kinds.map(kind => KIND_WORDS[kind]).join(' and ')} have it.`;
  if (part && row.placed && !part.placed) return 'it stands where its neighbours leave it room.';
  if (part?.placed && row.name === 'order') return 'it stands in a place of its own.';
  const display = keywordOf(contributions, 'display', state, width);
  const grows = display === 'flex' || display === 'inline-flex' || display === 'grid';
  if ((row.box === 'gap' || row.name === 'alignItems' || row.name === 'justifyContent') && !grows)
    return 'only parts arranged as flex or grid have it.';
  if (
    (row.name === 'flexDirection' || row.name === 'flexWrap') &&
    display !== 'flex' &&
    display !== 'inline-flex'
  )
    return 'only parts arranged as flex have it.';
  if ((row.name === 'gridColumns' || row.name === 'justifyItems') && display !== 'grid')
    return 'only parts arranged as grid have it.';
  if (
    display === 'inline' &&
    (row.name === 'width' ||
      row.name === 'minHeight' ||
      row.name === 'height' ||
      row.name === 'maxWidth' ||
      /^(margin|padding)(Top|Bottom)$/.test(row.name))
  )
    return 'inline text has no height or width of its own, and padding above it moves nothing.';
  for (const side of SIDES)
    if (row.name === `border${side}Color` || row.name === `border${side}Width`) {
      const style = winner(contributions.get(`border${side}Style`), state, width)?.value;
      if (style?.type !== 'keyword' || style.value === 'none') return 'the line has no style yet.';
    }
  if (
    /^textDecoration(Color|Thickness)$/.test(row.name) &&
    (keywordOf(contributions, 'textDecorationLine', state, width) ?? 'none') === 'none'
  )
    return 'there is no underline.';
  return null;
}
