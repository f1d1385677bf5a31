import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, LessThan, Repository } from 'typeorm';
import { Letter, Member } from '../database/entities';
import type { LetterDto } from './dto/letter.dto';

/** A letter to be sent. */
export interface NewLetter {
  /** Address. */
  recipient: string;
  subject: string;
  body: string;
  /** The site in whose name it is sent. */
  site?: string;
}

const KEPT_DAYS = 30;
const DAY = 24 * 60 * 60 * 1000;

/** The letters that are shown: the newest of them. */
const SHOWN = {
  select: { id: true, recipient: true, subject: true, body: true, sentAt: true },
  order: { id: 'DESC' },
  take: 200,
} as const;

/** Stands in for outgoing mail: letters are kept and can be read here, and never leave the machine. */
@Injectable()
export class OutboxService {
  constructor(
    @InjectRepository(Letter) private readonly letters: Repository<Letter>,
    @InjectRepository(Member) private readonly members: Repository<Member>,
  ) {}

  async send({ recipient, subject, body, site }: NewLetter): Promise<void> {
    await this.letters.delete({ sentAt: LessThan(new Date(Date.now() - KEPT_DAYS * DAY)) });
    await this.letters.insert({ recipient: recipient.toLowerCase(), subject, body, siteId: site ?? null });
  }

  /** Letters to an address, and those sent for sites where this account is a designer. */
  async readableBy(account: string, email: string): Promise<LetterDto[]> {
    const designed = await this.members.findBy({ accountId: account, role: 'designer' });
    return this.letters.find({
      ...SHOWN,
      where: [{ recipient: email }, { siteId: In(designed.map(it => it.siteId)) }],
    });
  }

  all(): Promise<LetterDto[]> {
    return this.letters.find(SHOWN);
  }
}
