import type { DataSourceOptions } from 'typeorm';
import {
  Account,
  AccountLink,
  Invitation,
  KeptGuide,
  KeptSection,
  Letter,
  Member,
  Presence,
  Release,
  Session,
  SiteEntity,
  Snapshot,
} from './database/entities';
import { Foundation1700000000000 } from './database/migrations/1700000000000-Foundation';
import { People1700000001000 } from './database/migrations/1700000001000-People';
import { Keeping1700000002000 } from './database/migrations/1700000002000-Keeping';
import { KeptSections1700000003000 } from './database/migrations/1700000003000-KeptSections';
import { Budgets1700000004000 } from './database/migrations/1700000004000-Budgets';
import { Schemas1700000005000 } from './database/migrations/1700000005000-Schemas';
import { ReleaseNotices1700000006000 } from './database/migrations/1700000006000-ReleaseNotices';
import { SiteList1700000007000 } from './database/migrations/1700000007000-SiteList';
import { PatientClient } from './database/patientClient';

export const dataSourceOptions = (url: string): DataSourceOptions => ({
  type: 'postgres',
  url,
  entities: [
    Account,
    AccountLink,
    Invitation,
    KeptGuide,
    KeptSection,
    Letter,
    Member,
    Presence,
    Release,
    Session,
    SiteEntity,
    Snapshot,
  ],
  migrations: [
    Foundation1700000000000,
    People1700000001000,
    Keeping1700000002000,
    KeptSections1700000003000,
    Budgets1700000004000,
    Schemas1700000005000,
    ReleaseNotices1700000006000,
    SiteList1700000007000,
  ],
  migrationsRun: true,
  synchronize: false,
  poolSize: 12,
  extra: { Client: PatientClient },
});
