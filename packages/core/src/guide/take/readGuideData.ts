import { fail, ok, type Problem, type Result } from '../../result/index.ts';
import { upgradeRecord } from '../../schema/schema.ts';
import { isObject } from '../../site/fields.ts';
import { readRecord } from '../../site/readRecord.ts';
import { type GuideData, isGuideRecord } from './guideData.ts';

/** Reads a guide out of JSON that was kept under a schema, record by record; refuses the whole of it where one cannot be read. */
export function readGuideData(it: unknown, schema: number): Result<GuideData> {
  const refuse = (problem: Partial<Problem> = {}) =>
    fail({ code: 'bad-guide', message: 'This is no guide.', expected: 'a kept guide', ...problem });
  if (!isObject(it) || typeof it.name !== 'string' || !Array.isArray(it.records) || !isObject(it.settings))
    return refuse();
  const records = [];
  for (const raw of it.records.flatMap(record => upgradeRecord(record, schema))) {
    const record = readRecord(raw);
    if (!record.ok) return refuse(record.problem);
    if (!isGuideRecord(record.value)) return refuse({ found: record.value.kind });
    records.push(record.value);
  }
  // Settings are read by the same table, under names that only a site has.
  const settings = {
    id: 'settings',
    kind: 'settings',
    name: it.name,
    language: 'en',
    home: 'home',
    ...it.settings,
  };
  const whole = readRecord(upgradeRecord(settings, schema)[0]);
  if (!whole.ok) return refuse(whole.problem);
  if (whole.value.kind !== 'settings') return refuse();
  const { defaultScheme, mediumTo, narrowTo, fluidFrom, fluidTo, textBase, textRatio } = whole.value;
  return ok({
    name: it.name,
    about: typeof it.about === 'string' ? it.about : '',
    records,
    settings: { defaultScheme, mediumTo, narrowTo, fluidFrom, fluidTo, textBase, textRatio },
  });
}
