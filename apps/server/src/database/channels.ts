/** Says that a site has a new change: its id and the number of the change. */
export const CHANGES_CHANNEL = 'site_changes';
/** Says that a release of a site has come further, or that another is seen: the site’s id. Told by the database itself. */
export const RELEASES_CHANNEL = 'site_releases';
