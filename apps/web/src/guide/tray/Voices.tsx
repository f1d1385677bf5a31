import { FAMILIES, familyNamed, type TokenRecord } from '@cove/core';
import { useCommit } from '../../session/context.tsx';
import { useLocked } from '../../session/rights.tsx';
import { familyCss } from './drawn.ts';
import { Group } from './Group.tsx';

/** The families a guide speaks with, each set in its own letters. */
export function Voices({ tokens }: { tokens: readonly TokenRecord[] }) {
  const commit = useCommit();
  const locked = useLocked();
  const families = new Set(
    tokens.flatMap(({ value }) =>
      value.type === 'fontFamily' ? value.value.filter(name => familyNamed(name)?.file) : [],
    ),
  ).size;
  return (
    <Group label="Voices" note={`${families} famil${families === 1 ? 'y' : 'ies'}`}>
      <ul className="grid gap-2">
        {tokens.map(token => {
          const names = token.value.type === 'fontFamily' ? token.value.value : [];
          return (
            <li key={token.id}>
              <label className="block">
                <span
                  className="block truncate text-[19px] leading-tight"
                  style={{ fontFamily: familyCss(token.value) }}
                >
                  {names[0]}
                </span>
                <span className="flex items-center gap-2 text-muted">
                  {token.name}
                  <select
                    aria-label={`Family of ${token.name}`}
                    value={names[0] ?? ''}
                    disabled={locked}
                    onChange={event => {
                      const family = familyNamed(event.target.value);
                      if (family)
                        commit(
                          [
                            {
                              op: 'set',
                              id: token.id,
                              path: ['value'],
                              value: {
                                type: 'fontFamily',
                                value:
                                  family.name === family.generic
                                    ? [family.name]
                                    : [family.name, family.generic],
                              },
                            },
                          ],
                          `Change ${token.name}`,
                        );
                    }}
                    className="ml-auto h-6 w-[124px] rounded-sm border border-hair bg-paper"
                  >
                    {FAMILIES.map(family => (
                      <option key={family.name} value={family.name}>
                        {family.file ? family.name : 'System'}
                      </option>
                    ))}
                  </select>
                </span>
              </label>
            </li>
          );
        })}
      </ul>
    </Group>
  );
}
