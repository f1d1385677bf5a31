import { type Purpose, STATUSES } from './purposes.ts';

export {
  PURPOSE_HINTS,
  PURPOSE_LABELS,
  PURPOSES,
  type Purpose,
  STATUSES,
  type Status,
} from './purposes.ts';
export { REASONS, type Reason } from './reasons.ts';

/** WCAG 2.2, 1.4.3: text of usual size; 1.4.11: what has to be seen to use a control, and large text (1.4.3). */
export const TEXT_RATIO = 4.5;
export const SIGN_RATIO = 3;
/** How far above what is asked the program’s own proposals stay, so that no other way of measuring finds them below it. */
export const MARGIN = 0.02;

/** A role that another one stands on, and the least contrast it needs there. */
export interface Pair {
  ground: string;
  ratio: number;
}

export interface Role {
  name: string;
  label: string;
  /** The role it is taken from where a scheme does not bind it. */
  fallback: string | null;
  /** Every ground that it can stand on; none of what is a ground itself or tells no more than it looks. */
  on: readonly Pair[];
  /** Purposes of swatches that it takes; a later one where the palette has none of the earlier ones. */
  takes: readonly Purpose[];
}

export const read = (...grounds: readonly string[]): Pair[] =>
  grounds.map(ground => ({ ground, ratio: TEXT_RATIO }));
const seen = (...grounds: readonly string[]): Pair[] =>
  grounds.map(ground => ({ ground, ratio: SIGN_RATIO }));

/** A scheme can be asked to stand on a colour of the brand; what is a step from its surface is of the same purpose. */
const GROUNDS: readonly Purpose[] = ['neutral', 'identity', 'accent', 'action'];
const TEXTS: readonly Purpose[] = ['neutral', 'identity'];
const CLICKED: readonly Purpose[] = ['action', 'accent', 'identity', 'neutral'];

const statusGrounds = STATUSES.map(status => `${status}Ground`);
/** Notices hold links and marked words of their own. */
const linked = read('surface', 'raised', 'selection', ...statusGrounds);

const base: Role[] = [
  {
    name: 'surface',
    label: 'Surface',
    fallback: null,
    on: [],
    takes: [...GROUNDS, 'none'],
  },
  { name: 'raised', label: 'Raised surface', fallback: 'surface', on: [], takes: GROUNDS },
  {
    name: 'heading',
    label: 'Heading',
    fallback: 'text',
    on: read('surface', 'raised'),
    takes: ['identity', 'neutral'],
  },
  {
    name: 'text',
    label: 'Text',
    fallback: null,
    on: read('surface', 'raised', 'selection', 'fieldSurface', ...statusGrounds),
    takes: TEXTS,
  },
  { name: 'muted', label: 'Muted text', fallback: 'text', on: read('surface', 'raised'), takes: TEXTS },
  {
    name: 'placeholder',
    label: 'Placeholder',
    fallback: 'muted',
    on: read('fieldSurface'),
    takes: TEXTS,
  },
  { name: 'link', label: 'Link', fallback: 'accent', on: linked, takes: CLICKED },
  { name: 'linkHover', label: 'Link, hover', fallback: 'link', on: linked, takes: CLICKED },
  {
    name: 'currentLink',
    label: 'Current link',
    fallback: 'link',
    on: read('surface', 'raised'),
    takes: CLICKED,
  },
  { name: 'line', label: 'Line', fallback: 'muted', on: [], takes: GROUNDS },
  {
    name: 'accent',
    label: 'Accent',
    fallback: 'text',
    on: seen('surface', 'raised'),
    takes: ['accent', 'action', 'identity', 'neutral'],
  },
];

const kinds: Role[] = (['main', 'second', 'quiet'] as const).flatMap((kind): Role[] => {
  const label = { main: 'Main button', second: 'Second button', quiet: 'Quiet button' }[kind];
  const first = { main: 'accent', second: 'surface', quiet: 'surface' }[kind];
  const ink = { main: 'surface', second: 'text', quiet: 'link' }[kind];
  const rim = { main: 'mainFill', second: 'secondLabel', quiet: 'quietFill' }[kind];
  const inks: Record<typeof kind, readonly Purpose[]> = {
    main: ['neutral', 'identity'],
    second: ['neutral', 'identity', 'action'],
    quiet: CLICKED,
  };
  const states = ['', 'Hover', 'Pressed'] as const;
  return states.flatMap((state, i): Role[] => {
    const before = states[i - 1] ?? '';
    const of = (role: string) => `${kind}${role}${before}`;
    const words = state ? `, ${state.toLowerCase()}` : '';
    return [
      {
        name: `${kind}Fill${state}`,
        label: `${label} fill${words}`,
        fallback: state ? of('Fill') : first,
        on: [],
        takes: kind === 'main' ? CLICKED : GROUNDS,
      },
      {
        name: `${kind}Label${state}`,
        label: `${label} label${words}`,
        fallback: state ? of('Label') : ink,
        on: read(`${kind}Fill${state}`),
        takes: inks[kind],
      },
      {
        name: `${kind}Line${state}`,
        label: `${label} line${words}`,
        fallback: state ? of('Line') : rim,
        // The line of a second button is what shows where it is; the others are told by their fill or their words.
        on: kind === 'second' ? seen('surface') : [],
        takes: kind === 'main' ? CLICKED : [...inks[kind], 'neutral'],
      },
    ];
  });
});

const rest: Role[] = [
  { name: 'fieldSurface', label: 'Field', fallback: 'surface', on: [], takes: GROUNDS },
  {
    name: 'fieldLine',
    label: 'Field line',
    fallback: 'muted',
    on: seen('surface', 'raised', 'fieldSurface'),
    takes: TEXTS,
  },
  {
    name: 'focus',
    label: 'Focus ring',
    fallback: 'accent',
    on: seen('surface', 'raised'),
    takes: CLICKED,
  },
  {
    name: 'selection',
    label: 'Selection',
    fallback: 'raised',
    on: [],
    takes: [...GROUNDS, 'none'],
  },
];

const statuses: Role[] = STATUSES.flatMap((status): Role[] => {
  const label = status.charAt(0).toUpperCase() + status.slice(1);
  const takes: readonly Purpose[] = [status];
  return [
    { name: `${status}Ground`, label: `${label} ground`, fallback: 'raised', on: [], takes },
    {
      name: `${status}Text`,
      label: `${label} text`,
      fallback: 'text',
      // What a field says of its state stands on the surface.
      on: read(`${status}Ground`, 'surface', 'raised'),
      takes,
    },
    {
      name: `${status}Line`,
      label: `${label} line`,
      fallback: `${status}Text`,
      on: seen('surface', 'raised'),
      takes,
    },
  ];
});

/** What a colour is for in a scheme. */
export const ROLES: readonly Role[] = [...base, ...kinds, ...rest, ...statuses];
const BY_NAME = new Map(ROLES.map(role => [role.name, role]));
/** A role that every scheme has; none of the guide’s own. */
export const roleNamed = (name: string): Role | undefined => BY_NAME.get(name);
