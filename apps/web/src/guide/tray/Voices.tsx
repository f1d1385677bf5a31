import { CHECKS, fontBill, type TokenRecord } from '@cove/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { ownFaces } from '../../canvas/styleEngine.ts';
import { useCheck } from '../../checks/useCheck.ts';
import { familyCss } from '../../drawings/drawn.ts';
import { useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { useStyleText } from '../../ui/useStyleText.ts';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';
import { type TokenList, useAddToken } from './tokenList.ts';

const VoiceSheet = lazy(async () => ({ default: (await import('../voices/VoiceSheet.tsx')).VoiceSheet }));

const familyOf = ({ name, value }: TokenRecord): string =>
  (value.type === 'fontFamily' ? value.value[0] : null) ?? name;

/** The families a guide speaks with, each set in its own letters, with what they cost and what they lack. */
export function Voices({ site, tokens, open, onOpen }: TokenList) {
  const addToken = useAddToken({ site, onOpen });
  const session = useSession();
  const locked = useLocked();
  const [choosing, setChoosing] = useState(false);
  useStyleText(ownFaces(site, session.id));
  const bill = useMemo(() => fontBill(site), [site]);
  const problems = [
    ...useCheck(CHECKS.families, site).findings,
    ...useCheck(CHECKS.missingCuts, site).findings,
  ];
  const count = bill.families.length;
  const add = () => {
    addToken(
      {
        type: 'fontFamily',
        group: tokens[0]?.group ?? 'Voices',
        name: 'New voice',
        value: { type: 'fontFamily', value: ['system-ui'] },
      },
      'Add a voice',
    );
  };
  return (
    <Group
      label="Voices"
      note={`${count} famil${count === 1 ? 'y' : 'ies'}, ${Math.round(bill.bytes / 1024)} KB`}
      {...(!locked && { onAdd: add })}
      addLabel="Add a voice"
    >
      <ul className="grid gap-1.5">
        {tokens.map(token => (
          <li key={token.id}>
            <EditedToken token={token} open={open === token.id} onOpen={onOpen}>
              <button
                type="button"
                aria-label={`Voice ${token.name}: ${familyOf(token)}`}
                className="block w-full truncate text-left text-[19px] leading-tight hover:text-teal"
                style={{ fontFamily: familyCss(token.value) }}
              >
                {familyOf(token)}
              </button>
            </EditedToken>
            <span className="text-muted">{token.name}</span>
          </li>
        ))}
      </ul>
      {problems.map(({ check, at, message }) => (
        <p key={`${check} ${at.record} ${at.path}`} className="mt-1 text-small">
          {message}
        </p>
      ))}
      {!locked && (
        <Button kind="link" className="h-6! text-small" onClick={() => setChoosing(true)}>
          Choose families…
        </Button>
      )}
      {choosing && (
        <Suspense>
          <VoiceSheet site={site} onClose={() => setChoosing(false)} />
        </Suspense>
      )}
    </Group>
  );
}
