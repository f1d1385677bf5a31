/**
 * What a swatch is for. Working out a scheme gives no role a swatch of a purpose that the role does not take; one of
 * purpose none is for whatever people use it for themselves.
 */
export const PURPOSES = [
  'identity',
  'action',
  'accent',
  'neutral',
  'success',
  'warning',
  'danger',
  'info',
  'none',
] as const;
export type Purpose = (typeof PURPOSES)[number];

export const STATUSES = ['success', 'warning', 'danger', 'info'] as const;
export type Status = (typeof STATUSES)[number];

export const PURPOSE_LABELS: Readonly<Record<Purpose, string>> = {
  identity: 'Identity',
  action: 'Action',
  accent: 'Accent',
  neutral: 'Neutral',
  success: 'Success',
  warning: 'Warning',
  danger: 'Danger',
  info: 'Info',
  none: 'None',
};

/** What each purpose means, in a line. */
export const PURPOSE_HINTS: Readonly<Record<Purpose, string>> = {
  identity: 'The brand’s own colours: headings, grounds',
  action: 'What can be clicked: main buttons, links',
  accent: 'Small things that catch the eye: icons, marks, bars',
  neutral: 'Grounds, text and lines',
  success: 'It worked',
  warning: 'Be careful',
  danger: 'It failed, or cannot be undone',
  info: 'Good to know',
  none: 'Never chosen for a scheme',
};
