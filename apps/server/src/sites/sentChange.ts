import { type Edit, LIMITS, readEdits } from '@cove/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { ProblemException } from '../common/problem';
import { parseSentJson } from '../common/sentJson';
import { ChangeDto } from './dto/change.dto';

export interface SentChange {
  id: string;
  base: number;
  edits: Edit[];
}

/** Of a change so many are edits; the few others are its frame. */
const BUDGET = { ...LIMITS.json, outer: LIMITS.change.edits + 10 };

const bad = (message: string) => new ProblemException({ code: 'bad-request', message });

/** A change as a browser sends it, read in order of cost: counted, parsed, its frame checked, its edits counted and read. */
export function readSentChange(sent: Uint8Array): SentChange {
  const { edits: raw, ...frame } = parseSentJson(sent, BUDGET);
  const dto = plainToInstance(ChangeDto, frame);
  const faults = validateSync(dto, { whitelist: true, forbidNonWhitelisted: true });
  if (faults.length > 0)
    throw bad(
      faults.flatMap(it => Object.values(it.constraints ?? {})).join(' ') || 'The change cannot be read.',
    );
  if (!Array.isArray(raw) || raw.length === 0) throw bad('edits: expected a list of at least one edit.');
  const edits = readEdits(raw, LIMITS.change.edits);
  if (!edits.ok) throw new ProblemException(edits.problem);
  return { id: dto.id, base: dto.base ?? 0, edits: edits.value };
}
