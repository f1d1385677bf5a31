import {
  entranceOf,
  isMovement,
  MOVEMENT_NAMES,
  MOVEMENTS,
  type MovementName,
  printKeyframes,
  type Site,
  setEntrance,
} from '@cove/core';
import { useState } from 'react';
import { useCommit } from '../../session/context.tsx';
import { Select } from '../../ui/Select.tsx';
import { useStyleText } from '../../ui/useStyleText.ts';
import { Group } from './Group.tsx';

const KEYFRAMES = printKeyframes();

/** How sections come into view, and the movements there are: each plays when it is pressed. */
export function Movements({ site }: { site: Site }) {
  useStyleText(KEYFRAMES);
  const commit = useCommit();
  const [played, setPlayed] = useState<{ name: MovementName; times: number }>({ name: 'fade', times: 0 });
  return (
    <>
      <Group label="Entrance of sections">
        <Select
          hideLabel
          label="Entrance of sections"
          value={entranceOf(site) ?? ''}
          options={[
            { value: '', label: 'No entrance' },
            ...MOVEMENT_NAMES.filter(name => MOVEMENTS[name].use === 'entrance').map(name => ({
              value: name,
              label: MOVEMENTS[name].label,
            })),
          ]}
          onChange={name =>
            commit(setEntrance(site, isMovement(name) ? name : null), 'Change how sections come in')
          }
        />
      </Group>
      <Group label="Movements" note={String(MOVEMENT_NAMES.length)}>
        <ul aria-label="Movements" className="grid grid-cols-2 gap-x-2">
          {MOVEMENT_NAMES.map(name => (
            <li key={name}>
              <button
                type="button"
                aria-label={`${MOVEMENTS[name].label}: play it`}
                onClick={() => setPlayed({ name, times: played.times + 1 })}
                className="flex items-center gap-2 py-0.5 hover:text-teal"
              >
                <span
                  key={played.name === name ? played.times : 0}
                  aria-hidden
                  className="block size-3 rounded-sm bg-muted"
                  style={
                    played.name === name && played.times > 0 ? { animation: `${name} 600ms ease-out` } : {}
                  }
                />
                {MOVEMENTS[name].label}
              </button>
            </li>
          ))}
        </ul>
        <p className="text-small text-muted">
          Set one on any part with the Movement property. Visitors who prefer reduced motion see none.
        </p>
      </Group>
    </>
  );
}
