import { LIMITS, readEdits, SCHEMA } from '@cove/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { ProblemException } from '../common/problem';
import { parseSentJson } from '../common/sentJson';
import { RENEWED } from '../schema/schemaProblem';
import type { SentChange } from './acceptChange';
import { ChangeDto } from './dto/change.dto';

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
  const { id, base = 0, schema = SCHEMA } = dto;
  if (schema > SCHEMA) throw new ProblemException(RENEWED);
  if (schema < SCHEMA && raw.length <= LIMITS.change.edits)
    return { id, base, edits: [], earlier: { schema, sent: raw } };
  const edits = readEdits(raw, LIMITS.change.edits);
  if (!edits.ok) throw new ProblemException(edits.problem);
  return { id, base, edits: edits.value };
}
