/** Says that a site has a new change: its id and the number of the change. */
export const CHANGES_CHANNEL = 'site_changes';
/** Says that a release of a site has come further, or that another is seen: the site’s id. Told by the database itself. */
export const RELEASES_CHANNEL = 'site_releases';
/** Says that somebody at a site is somewhere else, or has left: JSON of the site’s id and of who it is. */
export const PRESENCE_CHANNEL = 'site_presence';
/** Says that who may do what at a site has changed: the site’s id. */
export const MEMBERS_CHANNEL = 'site_members';
/** Says that sessions of an account have ended, so that its open streams end too. */
export const SESSIONS_CHANNEL = 'sessions_ended';
