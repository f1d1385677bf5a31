import { fail, LIMITS, type Result } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../common/database';
import { StoredFiles } from '../storage/storedFiles';
import { Workshop } from '../work/workshop.service';
import { acceptChanges, type Incoming } from './acceptChange';
import { Batches } from './batches';
import type { ReceiptDto } from './dto/acceptedChange.dto';
import { readSentChange } from './sentChange';

/** How many changes share a transaction, at most: enough to pay for a slow disk, few enough to be answered soon. */
const TOGETHER = 32;

/** How many edits are worked out where requests are answered; more of them have a thread of their own. */
const FEW_EDITS = 200;

/** The one way by which a member alters a site. */
@Injectable()
export class AcceptService {
  private readonly batches = new Batches((changes: readonly Incoming[]) => this.acceptAll(changes), TOGETHER);

  constructor(
    private readonly database: Database,
    private readonly files: StoredFiles,
    private readonly workshop: Workshop,
  ) {}

  /** Accepts a change as it was sent, or says why not: a small one here, a large one in a thread. */
  async acceptSent(site: string, account: string, sent: Uint8Array): Promise<Result<ReceiptDto>> {
    if (sent.length > LIMITS.change.bytes)
      return fail({ code: 'too-large', message: `A change has at most ${LIMITS.change.bytes} bytes.` });
    if (sent.length > LIMITS.inPassing) return this.workshop.run('acceptSent', { site, account, sent });
    const change = readSentChange(sent);
    if ((change.earlier?.sent ?? change.edits).length > FEW_EDITS)
      return this.workshop.run('acceptSent', { site, account, sent });
    return this.batches.add(site, { ...change, site, account });
  }

  /** In one transaction. What one is refused for does not touch the others. */
  private acceptAll(changes: readonly Incoming[]): Promise<Result<ReceiptDto>[]> {
    const [{ site } = { site: '' }] = changes;
    return this.database.transaction(query => acceptChanges(query, this.files, site, changes));
  }
}
