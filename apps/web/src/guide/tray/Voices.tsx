import { CHECKS, type FontBill, fontBill, type TokenRecord } from '@cove/core';
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

const kilobytes = (bytes: number): string => `${Math.round(bytes / 1024)} KB`;

/** The cuts that pages load, with their bytes: those that some text style asks for. One file holds all weights of a cut. */
function Shipped({ bill }: { bill: FontBill }) {
  return (
    <table className="mt-2 w-full text-small">
      <caption className="label-line text-left">Fonts pages load</caption>
      <tbody>
        {bill.families.flatMap(({ family, italic, weights }) =>
          family.files
            .filter(it => it.cut === 'normal' || italic)
            .map(it => (
              <tr key={`${family.name} ${it.cut}`} className="border-b border-hair">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {family.name}
                </th>
                <td className="text-muted">{it.cut === 'italic' ? 'italic' : weights.join(', ')}</td>
                <td className="pl-2 text-right font-mono text-[11px] whitespace-nowrap">
                  {kilobytes(it.bytes)}
                </td>
              </tr>
            )),
        )}
      </tbody>
    </table>
  );
}

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
      note={`${count} famil${count === 1 ? 'y' : 'ies'}, ${kilobytes(bill.bytes)}`}
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
      {bill.families.length > 0 && <Shipped bill={bill} />}
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
