import {
  addRamp,
  type Color,
  DERIVATIONS,
  deriveToken,
  duplicateToken,
  type Edit,
  editOf,
  fail,
  type Id,
  literalOf,
  moveToken,
  NO_REBINDS,
  ok,
  parseValueOf,
  type Site,
  setNote,
  settingsOf,
  type TokenRecord,
  undeprecate,
  type Value,
} from '@cove/core';
import { memo, useCallback } from 'react';
import { GuardNote } from '../guard/GuardNote.tsx';
import { ReachNote } from '../reach/ReachNote.tsx';
import { useCommit, useSession } from '../session/context.tsx';
import { useCalmSite } from '../session/useCalmSite.ts';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { ColorPlane } from '../ui/ColorPlane.tsx';
import { ColorSliders } from '../ui/ColorSliders.tsx';
import { EyeDropper } from '../ui/EyeDropper.tsx';
import { useLocked } from '../ui/locked.ts';
import { NoteField } from '../ui/NoteField.tsx';
import { Select } from '../ui/Select.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { Derived } from './Derived.tsx';
import { Follows } from './Follows.tsx';
import { GradientEditor } from './GradientEditor.tsx';
import { PaintedAs } from './PaintedAs.tsx';
import { PurposeSelect } from './PurposeSelect.tsx';
import { tokenWants } from './picker/tokenWants.ts';
import { ValueField } from './picker/ValueField.tsx';
import { RemoveToken } from './RemoveToken.tsx';

const STEPS = [5, 7, 9, 11];

interface Props {
  site: Site;
  token: TokenRecord;
  onGone(): void;
  onMade(id: Id): void;
}

/** What a token is called and where it stands. */
const Naming = memo(function Naming({ site, token }: Pick<Props, 'site' | 'token'>) {
  const commit = useCommit();
  const { token: tokens } = site.kinds;
  const groups = [...new Set([...tokens.values()].filter(it => it.type === token.type).map(it => it.group))];
  return (
    <div className="grid grid-cols-[1fr_104px] gap-2">
      <TypedField
        label="Name"
        mono={false}
        text={token.name}
        className="[&_input]:border-hair"
        parse={text =>
          text.trim() === '' ? fail({ code: 'empty', message: 'A token needs a name.' }) : ok(text.trim())
        }
        onCommit={name => commit([editOf(token).set('name', name)], `Rename ${token.name}`)}
      />
      <Select
        label="Group"
        value={token.group}
        options={groups.map(it => ({ value: it, label: it }))}
        onChange={group =>
          commit(moveToken(site, token.id, group, Number.MAX_SAFE_INTEGER), `Move ${token.name}`)
        }
      />
    </div>
  );
});

/** What a token is for, how far it reaches, and what can be made of it. */
const Further = memo(function Further({ site, token, onGone, onMade }: Props) {
  const commit = useCommit();
  const locked = useLocked();
  const derive = (op: string) => {
    const made = deriveToken(site, token.id, op);
    if (made && commit(made.edits, `Derive a token from ${token.name}`)) onMade(made.id);
  };
  const duplicate = () => {
    const made = duplicateToken(site, token.id);
    if (made.ok && commit(made.value.edits, `Duplicate ${token.name}`)) onMade(made.value.id);
  };
  const ramp = (count: number) => {
    const made = addRamp(site, token.id, count);
    if (made.ok) commit(made.value.edits, `Make a ramp of ${token.name}`);
  };
  const deprecated = token.carried?.deprecated;
  const derivations = DERIVATIONS.filter(it => it.type === token.type && it.from[0] === token.type);
  return (
    <>
      {token.type === 'color' && <PurposeSelect site={site} token={token} />}
      {deprecated !== undefined && (
        <p className="flex items-baseline gap-2">
          <span className="text-madder">
            Deprecated{typeof deprecated === 'string' ? `: ${deprecated}` : ''}
          </span>
          {!locked && (
            <Button
              kind="link"
              className="ml-auto h-5! text-small"
              onClick={() => commit(undeprecate(token), `Use ${token.name} again`)}
            >
              Use it again
            </Button>
          )}
        </p>
      )}
      <NoteField
        text={token.note ?? ''}
        onCommit={note => commit(setNote(token, note), `Note on ${token.name}`)}
      />
      <ReachNote id={token.id} />
      {!locked && (
        <div className="flex flex-wrap items-end gap-2 border-t border-hair pt-2.5">
          {derivations.length > 0 && (
            <ActMenu
              label="Derive another"
              options={derivations
                .filter(it => it.op !== 'ramp')
                .map(it => ({ value: it.op, label: it.label }))}
              onChoose={derive}
            />
          )}
          {token.type === 'color' && (
            <ActMenu
              label="Make a ramp"
              options={STEPS.map(n => ({ value: String(n), label: `${n} steps` }))}
              onChoose={n => ramp(Number(n))}
            />
          )}
          <Button kind="line" className="h-6!" onClick={duplicate}>
            Duplicate
          </Button>
          <RemoveToken site={site} token={token} onGone={onGone} />
        </div>
      )}
    </>
  );
});

/** One token: its name, what it is, how it is derived, how far it reaches, and what can be made of it. */
export function TokenEditor({ site, token, onGone, onMade }: Props) {
  const session = useSession();
  const commit = useCommit();
  const locked = useLocked();
  const calm = useCalmSite();
  const { token: tokens } = site.kinds;
  const end = literalOf(tokens, NO_REBINDS, token.value);
  const edit = (value: Value): Edit[] => [editOf(token).set('value', value)];
  const set = (value: Value) => commit(edit(value), `Change ${token.name}`);
  const setColor = (value: Color) => set({ type: 'color', value });
  const showColor = (value: Color) => session.show(edit({ type: 'color', value }));
  const color: Color | null = end?.type === 'color' ? end.value : null;
  const { value } = token;
  const wide = settingsOf(site).wideColors === true;
  const still = calm.kinds.token.get(token.id) ?? token;
  const gone = useLatest(onGone);
  const made = useLatest(onMade);
  const onGoneNow = useCallback(() => gone.current(), []);
  const onMadeNow = useCallback((id: Id) => made.current(id), []);

  return (
    <div className="grid gap-2.5">
      <Naming site={calm} token={still} />
      <ValueField
        label="Value"
        hideLabel={false}
        className="[&_input]:border-hair"
        site={site}
        scope={null}
        wants={{ ...tokenWants(token.type, false), accepts: it => it.id !== token.id }}
        value={token.value}
        parse={text => parseValueOf(site, token, text)}
        onShow={next => session.show(next && edit(next))}
        onCommit={(next, before = []) => next && commit([...before, ...edit(next)], `Change ${token.name}`)}
      />
      {value.type === 'token' && <Follows site={site} token={token} followed={value.token} />}
      {value.type === 'derived' && <Derived site={site} token={token} derivation={value.derivation} />}
      {!locked && value.type !== 'derived' && value.type !== 'token' && color && (
        <>
          <ColorPlane
            color={color}
            wide={wide}
            onShow={showColor}
            onCommit={setColor}
            onCancel={() => session.show(null)}
          />
          <ColorSliders color={color} onShow={showColor} onCommit={setColor} />
          <EyeDropper onPick={setColor} />
        </>
      )}
      {!locked && value.type === 'gradient' && (
        <GradientEditor
          site={site}
          value={value}
          onShow={next => session.show(next && edit(next))}
          onCommit={(next, before = []) => commit([...before, ...edit(next)], `Change ${token.name}`)}
        />
      )}
      {color && <PaintedAs color={color} wide={wide} />}
      {token.type === 'color' && <GuardNote token={token.id} />}
      <Further site={calm} token={still} onGone={onGoneNow} onMade={onMadeNow} />
    </div>
  );
}
