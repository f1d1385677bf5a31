import { allRecords, type Edit, type Site } from '@cove/core';
import { drawings, tolvane, tolvaneLarge } from '@cove/core/starters';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import sharp from 'sharp';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { PictureStore } from '../pictures/pictureStore.service';
import { AcceptService } from '../sites/accept.service';

export const DEMO = {
  email: 'demo@tolvane.example',
  password: 'ferries-at-dawn',
  name: 'Demo designer',
  site: 'tolvane',
  large: 'tolvane-large',
} as const;

/** Lays the invented ferry line beside what is there. The account exists only together with it. */
@Injectable()
export class DemoService {
  constructor(
    private readonly accounts: AccountsService,
    private readonly changes: AcceptService,
    private readonly pictures: PictureStore,
    @InjectDataSource() private readonly database: DataSource,
  ) {}

  async layIfMissing(): Promise<void> {
    await this.layOne(DEMO.site, 'Tolvane Ferries', tolvane);
  }

  /** The large one beside it, for measuring. */
  async layLargeIfMissing(): Promise<void> {
    await this.layOne(DEMO.large, 'Tolvane Ferries, large', tolvaneLarge);
  }

  private async layOne(
    id: string,
    name: string,
    make: (file: (name: string) => string) => Site,
  ): Promise<void> {
    // One that was being laid when the server ended is laid anew.
    await this.database.query('delete from sites where id = $1 and seq = 0', [id]);
    const rows: unknown[] = await this.database.query('select 1 from sites where id = $1', [id]);
    if (rows.length > 0) return;
    const files = await this.drawPictures(id);
    await this.lay(
      id,
      name,
      make(drawing => files.get(drawing) ?? ''),
    );
  }

  /** Makes a site out of records: as one change, like any other. */
  async lay(id: string, name: string, site: Site): Promise<void> {
    const account =
      (await this.accounts.byEmail(DEMO.email)) ??
      (await this.accounts.create(DEMO.email, DEMO.name, DEMO.password));
    await this.database.query('insert into sites (id, name, slug) values ($1, $2, $1)', [id, name]);
    await this.database.query("insert into members (site_id, account_id, role) values ($1, $2, 'designer')", [
      id,
      account.id,
    ]);
    const edits = [...allRecords(site)].map((record): Edit => ({ op: 'put', record }));
    const result = await this.changes.accept({
      site: id,
      account: account.id,
      id: `demo-${id}-${Date.now()}`,
      base: 0,
      edits,
    });
    if (!result.ok) throw new Error(result.problem.message);
  }

  private async drawPictures(site: string): Promise<ReadonlyMap<string, string>> {
    const files = new Map<string, string>();
    for (const { name, svg } of drawings()) {
      const data = await sharp(Buffer.from(svg)).webp({ quality: 82 }).toBuffer();
      files.set(name, await this.pictures.write(site, data));
    }
    return files;
  }
}
