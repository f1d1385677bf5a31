/** What an edit touches, from the least to the most that a keeper may be given. */
export const RIGHTS = ['content', 'choice', 'style', 'guide'] as const;
export type Right = (typeof RIGHTS)[number];
