import { printTyped, type TokenType, type Value } from '@cove/core';
import { useLocked } from '../../ui/locked.ts';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';
import { type TokenList, useAddToken } from './tokenList.ts';

/** The curve of an easing, from nothing to all. */
function Curve({ value }: { value: Value }) {
  if (value.type !== 'cubicBezier') return null;
  const [a, b, c, d] = value.value;
  const y = (n: number) => 30 - n * 22;
  const x = (n: number) => 2 + n * 30;
  return (
    <svg viewBox="0 0 34 34" className="size-8" aria-hidden>
      <path
        d={`M${x(0)} ${y(0)} C${x(a)} ${y(b)} ${x(c)} ${y(d)} ${x(1)} ${y(1)}`}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.5"
      />
    </svg>
  );
}

const KINDS: readonly {
  type: TokenType & ('duration' | 'cubicBezier');
  label: string;
  noun: string;
  start: Value;
}[] = [
  { type: 'duration', label: 'Durations', noun: 'Duration', start: { type: 'duration', value: 200 } },
  {
    type: 'cubicBezier',
    label: 'Easings',
    noun: 'Easing',
    start: { type: 'cubicBezier', value: [0.2, 0, 0, 1] },
  },
];

/** How long things take to change, and how they set off and arrive. */
export function Motion({ site, tokens, open, onOpen }: TokenList) {
  const addToken = useAddToken({ site, onOpen });
  const locked = useLocked();
  return KINDS.map(({ type, label, noun, start }) => {
    const list = tokens.filter(it => it.type === type);
    const add = () => {
      addToken(
        {
          type,
          group: 'Motion',
          name: `New ${noun.toLowerCase()}`,
          value: start,
        },
        `Add a ${noun.toLowerCase()}`,
      );
    };
    const most = Math.max(1, ...list.map(it => (it.value.type === 'duration' ? it.value.value : 0)));
    return (
      <Group
        key={type}
        label={label}
        {...(!locked && { onAdd: add })}
        addLabel={`Add a ${noun.toLowerCase()}`}
      >
        <div className={type === 'duration' ? 'grid gap-1' : 'flex flex-wrap gap-2'}>
          {list.map(token => (
            <EditedToken key={token.id} token={token} open={open === token.id} onOpen={onOpen}>
              <button
                type="button"
                aria-label={`${noun} ${token.name}`}
                title={`${token.name} = ${printTyped(token.value, site.kinds.token)}`}
                className="flex items-center gap-2 text-left hover:text-teal"
              >
                {type === 'duration' ? (
                  <>
                    <span
                      className="block h-1 bg-muted"
                      style={{
                        width: `${token.value.type === 'duration' ? 6 + (token.value.value / most) * 90 : 6}px`,
                      }}
                    />
                    {token.name}
                  </>
                ) : (
                  <Curve value={token.value} />
                )}
              </button>
            </EditedToken>
          ))}
          {list.length === 0 && <p className="text-muted">None yet.</p>}
        </div>
      </Group>
    );
  });
}
