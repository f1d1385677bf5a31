import {
  fail,
  ok,
  PROPERTIES,
  parsePropertyValue,
  printSlot,
  printTyped,
  type Site,
  setSlot,
  type TextStyleRecord,
  WIDTHS,
  type Width,
} from '@cove/core';
import { useState } from 'react';
import { useCommit } from '../session/context.tsx';
import { Choice } from '../ui/Choice.tsx';
import { TypedField } from '../ui/TypedField.tsx';

const TYPE = PROPERTIES.filter(row => row.facet === 'type');
const titled = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

/** A text style: all of its type, by width where wanted. An empty field leaves a value to what is inherited. */
export function TextStylePanel({ site, style }: { site: Site; style: TextStyleRecord }) {
  const commit = useCommit();
  const [width, setWidth] = useState<Width>('wide');
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <TypedField
        label="Text style"
        mono={false}
        text={style.name}
        className="[&_input]:border-hair"
        parse={text =>
          text.trim() === ''
            ? fail({ code: 'empty', message: 'A text style needs a name.' })
            : ok(text.trim())
        }
        onCommit={name =>
          commit([{ op: 'set', id: style.id, path: ['name'], value: name }], `Rename ${style.name}`)
        }
      />
      <div className="py-2">
        <Choice<Width>
          label="Width"
          value={width}
          options={WIDTHS.map(it => ({
            value: it,
            label: titled(it),
            mark: it !== 'wide' && Object.keys(style.styles).some(slot => slot.startsWith(`@${it}/`)),
          }))}
          onChange={setWidth}
        />
      </div>
      <ul>
        {TYPE.map(row => {
          const slot = printSlot({ part: '', state: 'rest', width, property: row.name });
          const value = style.styles[slot];
          return (
            <li key={row.name} className="grid grid-cols-[104px_minmax(0,1fr)] items-center gap-x-1">
              <span className={`truncate ${value ? '' : 'text-muted'}`} title={row.css}>
                {row.label}
              </span>
              <TypedField
                label={row.label}
                hideLabel
                text={value ? printTyped(value, site.kinds.token) : ''}
                parse={text =>
                  text.trim() === '' ? ok(null) : parsePropertyValue(text, row, site.kinds.token)
                }
                onCommit={next =>
                  commit(setSlot(site, { type: 'record', id: style.id }, slot, next), `Change ${style.name}`)
                }
              />
            </li>
          );
        })}
      </ul>
    </div>
  );
}
