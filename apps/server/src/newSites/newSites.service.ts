import { addressOf } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Like, Repository } from 'typeorm';
import { ProblemException } from '../common/problem';
import { Member, SiteEntity } from '../database/entities';
import { Workshop } from '../work/workshop.service';
import type { MadeSiteDto } from './dto/madeSite.dto';
import type { NewSiteDto } from './dto/newSite.dto';
import type { Beginning, GuideAsked } from './makeSite.job';

/** How many sites one person may have made: more are somebody's mistake. */
const MOST_SITES = 60;

/** How often a name is looked for that nobody takes meanwhile. */
const ATTEMPTS = 5;

/** First step of its address; a short one, since it is the site's id as well. */
const slugOf = (name: string): string => addressOf(name.slice(0, 40)) || 'site';

/** The one guide that is asked for; null for that of the ready site. */
function guideAsked({ brand, readyGuide, keptGuide }: NewSiteDto): GuideAsked | null {
  const asked = [
    brand && { brand },
    readyGuide !== undefined && { ready: readyGuide },
    keptGuide !== undefined && { kept: keptGuide },
  ].filter(it => it !== undefined && it !== false);
  if (asked.length > 1)
    throw new ProblemException({
      code: 'too-many',
      message: 'A site begins in one guide: of a brand, a ready-made one or one of your own.',
    });
  return asked[0] ?? null;
}

/** Makes sites: of a ready one, or of records. */
@Injectable()
export class NewSites {
  constructor(
    private readonly workshop: Workshop,
    @InjectRepository(Member) private readonly members: Repository<Member>,
    @InjectRepository(SiteEntity) private readonly sites: Repository<SiteEntity>,
  ) {}

  /** A site of a ready one, which whoever asked for it designs. */
  create(account: string, asked: NewSiteDto): Promise<MadeSiteDto> {
    const guide = guideAsked(asked);
    const { starter, ownSite, brief = null } = asked;
    return this.begin(
      account,
      asked.name.trim(),
      ownSite === undefined ? { starter, guide, brief } : { ownSite, guide, brief },
    );
  }

  /** A site under an id that is free. */
  async begin(account: string, name: string, begin: Beginning, signal?: AbortSignal): Promise<MadeSiteDto> {
    if ((await this.members.countBy({ accountId: account, role: 'designer' })) >= MOST_SITES)
      throw new ProblemException({
        code: 'too-many',
        message: `One person designs at most ${MOST_SITES} sites here.`,
      });
    for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
      const id = await this.freeId(slugOf(name));
      if (await this.make(id, name, account, begin, signal)) return { id };
    }
    throw new ProblemException({
      code: 'busy',
      message: 'Others are making sites of that name just now. Try it again, or choose another name.',
    });
  }

  private async freeId(slug: string): Promise<string> {
    const alike = Like(`${slug}-%`);
    const taken = await this.sites.find({
      select: { id: true, slug: true },
      where: [{ id: slug }, { id: alike }, { slug }, { slug: alike }],
    });
    const ids = new Set(taken.flatMap(it => [it.id, it.slug]));
    let id = slug;
    for (let n = 2; ids.has(id); n++) id = `${slug}-${n}`;
    return id;
  }

  /** Makes a site; false where somebody has taken its id since. */
  make(id: string, name: string, account: string, begin: Beginning, signal?: AbortSignal): Promise<boolean> {
    return this.workshop.run('makeSite', { site: id, name, account, begin }, signal);
  }
}
