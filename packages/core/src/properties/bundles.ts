import type { PropertyName } from './index.ts';

/** Longhands that are one thing to whoever sets them, while they are equal: the sides of a box, its corners, its gaps. */
export interface Bundle {
  name: string;
  label: string;
  /** Longhands in the order of the CSS shorthand, each with what it is called inside the bundle. */
  members: readonly (readonly [PropertyName, label: string])[];
  /** Everyday words that find it. */
  words: string;
}

const bundle = (
  name: string,
  label: string,
  words: string,
  ...members: readonly (readonly [PropertyName, string])[]
): Bundle => ({ name, label, members, words });

export const BUNDLES: readonly Bundle[] = [
  bundle(
    'padding',
    'Padding',
    'space around inside inner all sides',
    ['paddingTop', 'Top'],
    ['paddingRight', 'Right'],
    ['paddingBottom', 'Bottom'],
    ['paddingLeft', 'Left'],
  ),
  bundle(
    'margin',
    'Margin',
    'space around outside outer distance all sides',
    ['marginTop', 'Top'],
    ['marginRight', 'Right'],
    ['marginBottom', 'Bottom'],
    ['marginLeft', 'Left'],
  ),
  bundle('gap', 'Gap', 'space between distance gutter', ['rowGap', 'Row'], ['columnGap', 'Column']),
  bundle(
    'corners',
    'Corners',
    'radius round rounded all corners',
    ['borderTopLeftRadius', 'Top left'],
    ['borderTopRightRadius', 'Top right'],
    ['borderBottomRightRadius', 'Bottom right'],
    ['borderBottomLeftRadius', 'Bottom left'],
  ),
  bundle(
    'borderWidth',
    'Border width',
    'line stroke outline thickness all sides',
    ['borderTopWidth', 'Top'],
    ['borderRightWidth', 'Right'],
    ['borderBottomWidth', 'Bottom'],
    ['borderLeftWidth', 'Left'],
  ),
  bundle(
    'borderStyle',
    'Border style',
    'line stroke dashed dotted all sides',
    ['borderTopStyle', 'Top'],
    ['borderRightStyle', 'Right'],
    ['borderBottomStyle', 'Bottom'],
    ['borderLeftStyle', 'Left'],
  ),
  bundle(
    'borderColor',
    'Border colour',
    'line stroke all sides',
    ['borderTopColor', 'Top'],
    ['borderRightColor', 'Right'],
    ['borderBottomColor', 'Bottom'],
    ['borderLeftColor', 'Left'],
  ),
];

const BY_MEMBER = new Map<PropertyName, Bundle>(
  BUNDLES.flatMap(it => it.members.map(([name]) => [name, it] as const)),
);

/** The bundle that a longhand belongs to. */
export const bundleOf = (name: PropertyName): Bundle | undefined => BY_MEMBER.get(name);
