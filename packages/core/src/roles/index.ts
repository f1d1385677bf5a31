export interface Role {
  name: string;
  label: string;
  /** The role it is taken from where a scheme does not bind it. */
  fallback: string | null;
  /** The role it has to be read or seen on. */
  on: string | null;
}

const base: Role[] = [
  { name: 'surface', label: 'Surface', fallback: null, on: null },
  { name: 'raised', label: 'Raised surface', fallback: 'surface', on: null },
  { name: 'heading', label: 'Heading', fallback: 'text', on: 'surface' },
  { name: 'text', label: 'Text', fallback: null, on: 'surface' },
  { name: 'muted', label: 'Muted text', fallback: 'text', on: 'surface' },
  { name: 'placeholder', label: 'Placeholder', fallback: 'muted', on: 'fieldSurface' },
  { name: 'link', label: 'Link', fallback: 'accent', on: 'surface' },
  { name: 'linkHover', label: 'Link, hover', fallback: 'link', on: 'surface' },
  { name: 'currentLink', label: 'Current link', fallback: 'link', on: 'surface' },
  { name: 'line', label: 'Line', fallback: 'muted', on: 'surface' },
  { name: 'accent', label: 'Accent', fallback: 'text', on: 'surface' },
];

const kinds: Role[] = (['main', 'second', 'quiet'] as const).flatMap((kind): Role[] => {
  const label = { main: 'Main button', second: 'Second button', quiet: 'Quiet button' }[kind];
  const first = { main: 'accent', second: 'surface', quiet: 'surface' }[kind];
  const ink = { main: 'surface', second: 'text', quiet: 'link' }[kind];
  const rim = { main: 'mainFill', second: 'secondLabel', quiet: 'quietFill' }[kind];
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
        on: null,
      },
      {
        name: `${kind}Label${state}`,
        label: `${label} label${words}`,
        fallback: state ? of('Label') : ink,
        on: `${kind}Fill${state}`,
      },
      {
        name: `${kind}Line${state}`,
        label: `${label} line${words}`,
        fallback: state ? of('Line') : rim,
        on: 'surface',
      },
    ];
  });
});

const rest: Role[] = [
  { name: 'fieldSurface', label: 'Field', fallback: 'surface', on: null },
  { name: 'fieldLine', label: 'Field line', fallback: 'muted', on: 'surface' },
  { name: 'focus', label: 'Focus ring', fallback: 'accent', on: 'surface' },
  { name: 'selection', label: 'Selection', fallback: 'raised', on: null },
];

const statuses: Role[] = ['success', 'warning', 'danger', 'info'].flatMap((status): Role[] => {
  const label = status.charAt(0).toUpperCase() + status.slice(1);
  return [
    { name: `${status}Ground`, label: `${label} ground`, fallback: 'raised', on: null },
    { name: `${status}Text`, label: `${label} text`, fallback: 'text', on: `${status}Ground` },
    { name: `${status}Line`, label: `${label} line`, fallback: `${status}Text`, on: 'surface' },
  ];
});

/** What a colour is for in a scheme. */
export const ROLES: readonly Role[] = [...base, ...kinds, ...rest, ...statuses];
const BY_NAME = new Map(ROLES.map(role => [role.name, role]));
/** A role that every scheme has; none of the guide’s own. */
export const roleNamed = (name: string): Role | undefined => BY_NAME.get(name);
