/** Slots that undo what browsers do to a tag, so that an element starts bare. */
const FLAT_TEXT = {
  fontSize: '1em',
  fontWeight: 400,
  marginTop: 0,
  marginBottom: 0,
};
const on = (part: string, styles: Record<string, string | number>) =>
  Object.fromEntries(Object.entries(styles).map(([property, value]) => [`${part}/${property}`, value]));

export const flatHeading = (part: string) =>
  on(part, { ...FLAT_TEXT, display: 'block', textWrap: 'balance' });
export const flatParagraph = (part: string) => on(part, { marginTop: 0, marginBottom: 0, display: 'block' });
export const flatList = (part: string) =>
  on(part, { marginTop: 0, marginBottom: 0, paddingLeft: 0, listStyleType: 'none', display: 'flex' });
export const flatFigure = (part: string) =>
  on(part, { marginTop: 0, marginRight: 0, marginBottom: 0, marginLeft: 0, display: 'block' });
export const bareLink = (part: string) =>
  on(part, { color: 'role.link', textDecorationLine: 'underline', cursor: 'pointer' });
export const linkStates = (part: string) => ({
  [`${part}:hover/color`]: 'role.linkHover',
  ...focusRing(part),
});
/** What the program says of the words inside running text. */
export const runBaseline = {
  'link/display': 'inline',
  'code/display': 'inline',
  'marked/display': 'inline',
  ...on('link', { color: 'role.link', textDecorationLine: 'underline', cursor: 'pointer' }),
  'code/fontFamily': 'ui-monospace, monospace',
  'code/fontSize': '0.92em',
  'marked/backgroundColor': 'role.selection',
  'marked/color': 'role.text',
};
export const focusRing = (part: string) => ({
  [`${part}:focus/outlineColor`]: 'role.focus',
  [`${part}:focus/outlineStyle`]: 'solid',
  [`${part}:focus/outlineWidth`]: '2px',
  [`${part}:focus/outlineOffset`]: '2px',
});
export const sides = (
  part: string,
  property: 'padding' | 'margin',
  [top, right, bottom, left]: readonly [string, string, string, string],
) => ({
  [`${part}/${property}Top`]: top,
  [`${part}/${property}Right`]: right,
  [`${part}/${property}Bottom`]: bottom,
  [`${part}/${property}Left`]: left,
});
/** An icon: square, in the colour of the accent, its line as thick as the set draws it. */
export const iconBaseline = (part: string, size: string) =>
  on(part, {
    display: 'block',
    width: size,
    height: size,
    color: 'role.accent',
    strokeWidth: 2,
    overflowX: 'hidden',
  });
/** A picture across what holds it, cut to one proportion. */
export const coverPicture = (part: string) =>
  on(part, {
    display: 'block',
    overflowX: 'clip',
    width: '100%',
    height: 'auto',
    aspectRatio: 1.6,
    objectFit: 'cover',
  });
/** A title within a card. */
export const cardTitle = (part: string) => ({
  ...flatHeading(part),
  ...on(part, { color: 'role.heading', fontWeight: 700, fontSize: '1.25em', lineHeight: 1.2 }),
});
const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;
export const line = (part: string, values: { width?: string; style?: string; color?: string }) =>
  Object.fromEntries(
    SIDES.flatMap(side => [
      ...(values.width === undefined ? [] : [[`${part}/border${side}Width`, values.width]]),
      ...(values.style === undefined ? [] : [[`${part}/border${side}Style`, values.style]]),
      ...(values.color === undefined ? [] : [[`${part}/border${side}Color`, values.color]]),
    ]),
  );
export const corners = (part: string, radius: string) =>
  Object.fromEntries(
    ['TopLeft', 'TopRight', 'BottomRight', 'BottomLeft'].map(c => [`${part}/border${c}Radius`, radius]),
  );
/** What a control of the program’s own begins with: nothing of what browsers do to it. */
export const BARE_CONTROL = 'all:unset';
