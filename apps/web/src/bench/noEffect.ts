import { type Contributions, type PropertyRow, type State, type Width, winner } from '@cove/core';

const keywordOf = (
  contributions: Contributions,
  property: 'display' | 'textDecorationLine',
  state: State,
  width: Width,
): string | null => {
  const value = winner(contributions.get(property), state, width)?.value;
  return value?.type === 'keyword' ? value.value : null;
};

const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;

/** Why a property would do nothing on a part as it stands; null where it works. */
export function noEffect(
  row: PropertyRow,
  contributions: Contributions,
  state: State,
  width: Width,
): string | null {
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
