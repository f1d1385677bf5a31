export interface KeptGuide {
  id: string;
  name: string;
  about: string;
  version: number;
  fromSite: string;
  createdAt: string;
}

export const COLUMNS = 'id, name, about, version, from_site as "fromSite", created_at as "createdAt"';
