/** Says that a site has a new change: its id and the number of the change. */
export const CHANGES_CHANNEL = 'site_changes';
