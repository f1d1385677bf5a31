import { addressOf, allRecords, type Edit, type Site } from '@cove/core';
import { drawings, laySite, SITE_STARTERS } from '@cove/core/starters';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import sharp from 'sharp';
import { DataSource } from 'typeorm';
import { inTransaction } from '../common/inTransaction';
import { ProblemException } from '../common/problem';
import { PictureStore } from '../pictures/pictureStore.service';
import { AcceptService } from '../sites/accept.service';

/** How many sites one person may have made: more are somebody's mistake. */
const MOST_SITES = 60;

/** How often a name is looked for that nobody takes meanwhile. */
const ATTEMPTS = 5;

/** First step of its address; a short one, since it is the site's id as well. */
const slugOf = (name: string): string => addressOf(name.slice(0, 40)) || 'site';

/** Makes sites: of a ready one, or of records. */
@Injectable()
export class NewSites {
  constructor(
    private readonly changes: AcceptService,
    private readonly pictures: PictureStore,
    @InjectDataSource() private readonly database: DataSource,
  ) {}

  /** A site of a ready one, which whoever asked for it designs. */
  async create(account: string, name: string, starter: string): Promise<{ id: string }> {
    const chosen = SITE_STARTERS.find(it => it.id === starter);
    if (!chosen)
      throw new ProblemException({
        code: 'unknown-starter',
        message: 'There is no such ready site.',
        found: starter,
        expected: `one of ${SITE_STARTERS.map(it => it.id).join(', ')}`,
      });
    const [{ count = 0 } = {}]: { count?: number }[] = await this.database.query(
      "select count(*)::int as count from members where account_id = $1 and role = 'designer'",
      [account],
    );
    if (count >= MOST_SITES)
      throw new ProblemException({
        code: 'too-many',
        message: `One person designs at most ${MOST_SITES} sites here.`,
      });
    for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
      const id = await this.freeId(slugOf(name));
      if (await this.make(id, name, account, file => laySite(chosen, name, file))) return { id };
    }
    throw new ProblemException({
      code: 'busy',
      message: 'Others are making sites of that name just now. Try it again, or choose another name.',
    });
  }

  private async freeId(slug: string): Promise<string> {
    const taken: { id: string }[] = await this.database.query(
      "select id from sites where id = $1 or id like $1 || '-%' union select slug from sites where slug = $1 or slug like $1 || '-%'",
      [slug],
    );
    const ids = new Set(taken.map(it => it.id));
    let id = slug;
    for (let n = 2; ids.has(id); n++) id = `${slug}-${n}`;
    return id;
  }

  /**
   * A site with the program's own drawings as its pictures, laid as one change like any other; all of it, or nothing. False
   * where somebody has taken its id since.
   */
  async make(
    id: string,
    name: string,
    account: string,
    lay: (file: (drawing: string) => string) => Site,
  ): Promise<boolean> {
    const files = await this.drawPictures(id);
    const site = lay(drawing => files.get(drawing) ?? '');
    const edits = [...allRecords(site)].map((record): Edit => ({ op: 'put', record }));
    return inTransaction(this.database, async runner => {
      const made: unknown[] = await runner.query(
        'insert into sites (id, name, slug) values ($1, $2, $1) on conflict do nothing returning id',
        [id, name],
      );
      if (made.length === 0) return false;
      await runner.query("insert into members (site_id, account_id, role) values ($1, $2, 'designer')", [
        id,
        account,
      ]);
      const begin = { site: id, account, id: `begin-${id}-${Date.now()}`, base: 0, edits };
      const laid = await this.changes.within(runner, begin);
      if (!laid.ok) throw new Error(laid.problem.message);
      return true;
    });
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
