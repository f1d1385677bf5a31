import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { RequestProblem } from '../src/api/requestProblem.ts';
import { awayReason } from '../src/session/away.ts';
import { Others } from '../src/session/others.ts';
import type { Presence } from '../src/session/streamMessages.ts';

const place: Presence['place'] = { station: 'pages' };
const said = (client: string, at: Presence['place']): Presence => ({
  client,
  name: client,
  account: client,
  place: at,
});

describe('others at a site', () => {
  let seen: string[][] = [];
  let others: Others;
  beforeEach(() => {
    jest.useFakeTimers();
    seen = [];
    others = new Others('me', people => seen.push(people.map(it => it.client)));
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  it('come and go as they say, and this tab is none of them', () => {
    others.meet([said('ann', place), said('me', place), said('bo', place)]);
    others.meet([said('ann', null)]);
    expect(seen).toEqual([['ann', 'bo'], ['bo']]);
  });
  it('have left when they have said nothing for a minute; each word counts anew', () => {
    others.meet([said('ann', place)]);
    jest.advanceTimersByTime(50_000);
    others.meet([said('ann', place)]);
    jest.advanceTimersByTime(50_000);
    expect(seen.at(-1)).toEqual(['ann']);
    jest.advanceTimersByTime(10_000);
    expect(seen.at(-1)).toEqual([]);
  });
  it('are waited for by nothing once the site is closed', () => {
    others.meet([said('ann', place)]);
    others.close();
    expect(jest.getTimerCount()).toBe(0);
  });
});

describe('why changes wait', () => {
  const answered = (status: number, code: string) => new RequestProblem({ code, message: '' }, status);
  it.each([
    ['network', new TypeError('fetch failed')],
    ['signed-out', answered(401, 'no-account')],
    ['not-a-member', answered(404, 'no-site')],
    ['database', answered(503, 'database-away')],
    ['failing', answered(500, 'broken')],
    [null, answered(409, 'taken')],
    [null, answered(422, 'bad-value')],
  ] as const)('%s', (reason, error) => {
    expect(awayReason(error)).toBe(reason);
  });
});
