import {
  contributionsTo,
  elementNamed,
  ok,
  parsePropertyValue,
  propertyOf,
  type Site,
  setSideMargin,
  settingsOf,
  specimenScope,
  WIDTHS,
  winner,
} from '@cove/core';
import { wantsOf } from '../../bench/wants.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { ValueField } from '../../tokens/picker/ValueField.tsx';
import { titled } from '../../ui/titled.ts';
import { Group } from './Group.tsx';

const ROW = propertyOf('paddingLeft');

/** How far what stands on a page stays from its sides, at each width; sections, header and footer keep it. */
export function SideMargin({ site }: { site: Site }) {
  const commit = useCommit();
  const session = useSession();
  const scope = specimenScope(elementNamed('section'), settingsOf(site).defaultScheme, {});
  const said = contributionsTo(site, scope, 'box').get('paddingLeft');
  return (
    <Group label="Side margin">
      <div className="grid grid-cols-3 gap-2">
        {WIDTHS.map(width => (
          <ValueField
            key={width}
            label={titled(width)}
            hideLabel={false}
            className="min-w-0 [&_input]:border-hair"
            site={site}
            scope={scope}
            wants={wantsOf(ROW)}
            value={winner(said, 'rest', width)?.value ?? null}
            parse={text =>
              text.trim() === '' ? ok(null) : parsePropertyValue(text, ROW, site.kinds.token, site.kinds.role)
            }
            onShow={next => session.show(next && setSideMargin(site, width, next))}
            onCommit={(next, before = []) =>
              commit([...before, ...setSideMargin(site, width, next)], `Set the ${width} side margin`)
            }
          />
        ))}
      </div>
    </Group>
  );
}
