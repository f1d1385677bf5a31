/** What is remembered of the server’s answers, and under which keys: whoever alters something names the same. */
export const queryKeys = {
  sites: ['sites'],
  palette: (site: string, seq: number) => ['palette', site, seq],
  who: ['who'],
  sessions: ['sessions'],
  demo: ['demo'],
  outbox: ['outbox'],
  invitation: (secret: string) => ['invitation', secret],
  link: (secret: string) => ['link', secret],
  /** Everything about who belongs to a site. */
  people: (site: string) => ['people', site],
  members: (site: string) => ['people', site, 'members'],
  invitations: (site: string) => ['people', site, 'invitations'],
  releases: (site: string) => ['releases', site],
  snapshots: (site: string) => ['snapshots', site],
  guides: ['guides'],
  sections: ['sections'],
  outsidePictures: ['outside', 'pictures'],
} as const;
