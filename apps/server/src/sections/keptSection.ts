export interface KeptSection {
  id: string;
  name: string;
  createdAt: string;
}

export const COLUMNS = 'id, name, created_at as "createdAt"';
