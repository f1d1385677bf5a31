import { describe, expect, it } from '@jest/globals';
import { readTokens } from '../src/incoming/index.ts';
import { must } from '../src/result/index.ts';
import { printTyped } from '../src/tokens/index.ts';
import { workOut } from '../src/values/index.ts';
import { noticedIn, readJson, tokensIn } from './support/incoming.ts';

const valuesOf = (file: unknown) =>
  Object.fromEntries(tokensIn(readJson(file)).map(it => [it.name, printTyped(it.value, new Map())]));
const dimension = (value: unknown) => ({ $type: 'dimension', $value: value });

describe('a sum', () => {
  // CSS Values 4, sections 10.1 to 10.9.
  it.each([
    ['calc(1px + 2px)', '3px'],
    ['calc(2 * (4px + 4px))', '16px'],
    ['calc(1rem / 3)', '0.333333rem'],
    ['calc(10px - 2px - 3px)', '5px'],
    ['calc(24px / 2 / 3)', '4px'],
    ['calc(2px + 3 * 4px)', '14px'],
    ['calc(-1 * 4px)', '-4px'],
    ['calc(-1 * calc(2px + -3px))', '1px'],
    ['calc(60 * calc(60 * 1s))', '3600s'],
    ['min(10px, 4px, 6px)', '4px'],
    ['max(1rem, calc(0.5rem * 3))', '1.5rem'],
    ['calc(1.5 * 2)', '3'],
    ['CALC(1PX + 1px)', '2px'],
    ['4px * 1.5', '6px'],
  ])('%s comes to %s', (text, wanted) => {
    expect(workOut(text)).toEqual({ text: wanted, isMixed: false });
  });
  it('of px and rem is told to be one', () => {
    expect(workOut('calc(0.375rem - 1px)')).toEqual({ text: '5px', isMixed: true });
  });
  it.each([
    'calc(100% - 4px)',
    'calc(1px * 2px)',
    'calc(1px / 0)',
    'calc(2 / 1px)',
    'calc(1px +',
    'calc(1px) 2px',
    'calc(1px, 2px)',
    '1vw + 1px',
    'sin(1)',
    '',
    '{a}',
    `${'('.repeat(40)}1px${')'.repeat(40)}`,
    `${'1px + '.repeat(1000)}1px`,
  ])('%s is none that can be worked out', text => {
    expect(workOut(text)).toBeNull();
  });
});

describe('tokens that count with others', () => {
  it('are worked out, whatever stands in the sum, and say so', () => {
    const file = {
      base: dimension({ value: 4, unit: 'px' }),
      ratio: { $type: 'number', $value: 1.5 },
      wide: dimension('({base} + 4px) * {ratio}'),
      wider: dimension('{wide} * 2'),
      tall: { $type: 'number', $value: '{ratio} * 2' },
      untyped: { $value: '{base} / 2' },
    };
    expect(valuesOf(file)).toEqual({
      Base: '4px',
      Ratio: '1.5',
      Wide: '12px',
      Wider: '24px',
      Tall: '3',
      Untyped: '2px',
    });
    expect(
      noticedIn(readJson(file), 'read').filter(it => it.startsWith('It is worked out once')),
    ).toHaveLength(4);
  });
  it('have no unit where none of them has one, which is px', () => {
    const file = {
      base: { value: '16', type: 'spacing' },
      ratio: { value: '1.25', type: 'spacing' },
      step: { value: '{base} * {ratio} * ({ratio} - 0.25)', type: 'spacing' },
    };
    expect(valuesOf(file).Step).toBe('20px');
  });
  it('that name one another in a circle are told, and nothing else is lost', () => {
    const file = {
      a: dimension('{b} * 2'),
      b: dimension('{a} * 2'),
      c: dimension('{c} + 1px'),
      d: dimension('1px'),
    };
    expect(valuesOf(file)).toEqual({ D: '1px' });
    expect(noticedIn(readJson(file), 'unread')).toEqual([
      'This token refers to itself. (tokens.json, line 2)',
      'This token refers to itself. (tokens.json, line 6)',
      'This token refers to itself. (tokens.json, line 10)',
    ]);
  });
  it('that name what is not there, or is no length, are told', () => {
    const file = {
      ink: { $type: 'color', $value: '#123456' },
      a: dimension('{kelp} * 2'),
      b: dimension('{ink} * 2'),
    };
    expect(noticedIn(readJson(file), 'unread').map(it => it.replace(/ \(.*/, ''))).toEqual([
      'There is no token kelp.',
      'ink is no number or length.',
    ]);
  });
  it.each(['from the first', 'from the last'])('follow one another 32 times and no further, %s', order => {
    const all = Array.from({ length: 3000 }, (_, i) => [
      `t${i}`,
      dimension(i === 0 ? '1px' : `{t${i - 1}} + {t${i - 1}}`),
    ]);
    const file = Object.fromEntries(order === 'from the first' ? all : all.toReversed());
    const values = valuesOf(file);
    expect(values.T1).toBe('2px');
    expect(Object.keys(values).length).toBeLessThanOrEqual(33);
  });
});

describe('tokens that have a value for each context', () => {
  const COLORS = {
    bg: { $value: { light: '#ffffff', dark: '#10151f' } },
    fg: { $type: 'color', $value: { dark: '#eeeeee', light: '{ink}' } },
    ink: { $value: '#112233' },
  };
  it('have the usual one, and the others in a scheme', () => {
    const { items, schemes } = readJson(COLORS);
    expect(items.map(it => it.name)).toEqual(['bg', 'fg', 'ink', 'bg (Dark)', 'fg (Dark)']);
    expect(schemes.map(it => [it.name, it.colors.length])).toEqual([['Dark', 2]]);
    expect(valuesOf(COLORS)).toMatchObject({ Bg: '#ffffff', 'Bg dark': '#10151f', 'Fg dark': '#eeeeee' });
  });
  it('also where each is a token of its own', () => {
    const sets = {
      accent: { sets: { dark: { value: '#eeeeee' }, light: { value: '#111111' } } },
      edge: { value: '{accent}' },
    };
    expect(valuesOf(sets)).toMatchObject({ Accent: '#111111', 'Accent dark': '#eeeeee' });
    expect(readJson(sets).schemes.map(it => it.name)).toEqual(['Dark']);
  });
  it('are told from a value of several parts', () => {
    const file = { line: { $type: 'border', $value: { color: '#111111', width: '1px', style: 'solid' } } };
    expect(readJson(file).items.map(it => it.record.kind)).toEqual(['preset']);
  });
});

describe('a file that is no token file', () => {
  it('is told to be a schema', () => {
    const schema = {
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      type: 'object',
      properties: {},
    };
    const read = readTokens([{ name: 'a.json', text: JSON.stringify(schema) }]);
    expect(read.ok ? null : read.problem.message).toMatch(/^This is a schema/);
    const tokens = { name: 'b.json', text: JSON.stringify({ ink: { $value: '#123' } }) };
    expect(must(readTokens([{ name: 'a.json', text: JSON.stringify(schema) }, tokens])).items).toHaveLength(
      1,
    );
  });
});
