import { rm } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { Injectable } from '@nestjs/common';
import type { Waiter } from '../api/progress';
import type { Incoming } from '../common/body.interceptor';
import type { MadeSiteDto } from '../newSites/dto/madeSite.dto';
import { NewSites } from '../newSites/newSites.service';
import type { UnpackedSite } from '../uploads/unpackedSite';
import { unpackedFolder } from '../uploads/unpackSite';
import { Uploads } from '../uploads/uploads.service';
import { Workshop } from '../work/workshop.service';
import type { ReplacedSiteDto } from './dto/replacedSite.dto';

/** Takes whole sites in: all of one, or nothing. */
@Injectable()
export class WholeSites {
  constructor(
    private readonly uploads: Uploads,
    private readonly newSites: NewSites,
    private readonly workshop: Workshop,
  ) {}

  /** A new site, which whoever sent it designs. */
  begin(account: string, name: string, sent: Incoming, waiter: Waiter): Promise<MadeSiteDto> {
    return this.unpacked(sent, waiter, whole => this.newSites.begin(account, name, { whole }, waiter.signal));
  }

  /** Lays it over a site. */
  replace(site: string, account: string, sent: Incoming, waiter: Waiter): Promise<ReplacedSiteDto> {
    return this.unpacked(sent, waiter, whole =>
      this.workshop.run('replaceSite', { site, account, whole }, waiter.signal),
    );
  }

  /** Every file is read on its own in the process for uploads, so that others need not wait for all of them. */
  private async unpacked<T>(
    { path }: Incoming,
    { tell, signal }: Waiter,
    act: (whole: UnpackedSite) => Promise<T>,
  ): Promise<T> {
    const folder = unpackedFolder(path);
    this.workshop.expect('replaceSite');
    try {
      const paths = await this.uploads.lookInto('wholeSite', path, '');
      const files: UnpackedSite['files'][number][] = [];
      for (const [done, it] of paths.entries()) {
        signal.throwIfAborted();
        tell({ stage: 'Checking files', done, of: paths.length });
        const stored = await this.uploads.lookInto('archived', join(folder, it), basename(it));
        files.push({ path: it, stored });
      }
      signal.throwIfAborted();
      tell({ stage: 'Saving', done: 0, of: 0 });
      return await act({ folder: basename(folder), files });
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }
}
