import type { GuideData } from '@cove/core';
import { PURPOSE_LABELS, printPainted } from '@cove/core';
import { asBrandSwatches, type Brand, type BrandSwatch, NO_BRAND } from '@cove/core/starters';
import { useEffect, useMemo, useState } from 'react';
import { BrandClient } from './brandClient.ts';
import { isDrawing, pixelsOfDrawing } from './pictureOf.ts';

/** How long, in ms, typing rests before what was typed is read. */
const REST = 150;
const NOTHING: ReadBrandState = { brand: NO_BRAND, unread: [] };

interface ReadBrandState {
  brand: Brand;
  unread: readonly { line: number; text: string; message: string }[];
}

/** A line of its own for each colour, so that it can be changed where everything else is. */
const asLines = (swatches: readonly { name: string; color: string }[]): string =>
  swatches.map(it => `${it.name} ${it.color}`).join('\n');

/** A brand on its way: what was typed, what was read of it, what was corrected, and the guide it comes to. */
export function useBrand(name: string, on: boolean) {
  const [text, setText] = useState('');
  const [read, setRead] = useState<ReadBrandState>(NOTHING);
  const [purposes, setPurposes] = useState<ReadonlyMap<string, BrandSwatch['purpose']>>(new Map());
  const [guide, setGuide] = useState<GuideData | null>(null);
  const [textProblem, setTextProblem] = useState<string | null>(null);
  /** What was wrong with the last file; of no interest once something else is typed. */
  const [fileProblem, setFileProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [client] = useState(() => new BrandClient());
  useEffect(() => () => client.close(), [client]);
  useEffect(() => {
    if (!on) return;
    let gone = false;
    const timer = setTimeout(() => {
      void client.ask({ type: 'lines', text }).then(it => {
        if (gone) return;
        if (it.type === 'read') setRead(it);
        setTextProblem(it.type === 'problem' ? it.message : null);
      });
    }, REST);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [client, text, on]);
  const brand = useMemo(
    (): Brand => ({
      ...read.brand,
      swatches: read.brand.swatches.map(it => ({ ...it, purpose: purposes.get(it.name) ?? it.purpose })),
    }),
    [read, purposes],
  );
  useEffect(() => {
    if (!on || brand.swatches.length === 0) {
      setGuide(null);
      return;
    }
    let gone = false;
    void client.ask({ type: 'complete', brand, name: name.trim() || 'New site' }).then(it => {
      if (!gone && it.type === 'guide') setGuide(it.guide);
    });
    return () => {
      gone = true;
    };
  }, [client, brand, name, on]);

  /** Puts what a file says behind what is typed already. */
  const add = (lines: string) => setText(now => [now.trimEnd(), lines].filter(Boolean).join('\n'));
  const readFile = async (file: File) => {
    setBusy(true);
    setFileProblem(null);
    try {
      const it = await client.ask({ type: 'file', text: await file.text() });
      if (it.type === 'problem') setFileProblem(it.message);
      if (it.type !== 'read') return;
      const { swatches, heading, text: body, code, base, ratio, corners, space } = it.brand;
      const lines = [
        asLines(swatches),
        heading && `headings ${heading}`,
        body && `text ${body}`,
        code && `code ${code}`,
        base && `base ${base}`,
        ratio && `ratio ${ratio}`,
        corners && `corners ${corners}`,
        space && `space ${space}`,
      ].filter(Boolean);
      if (lines.length === 0) setFileProblem(`No colour, font or size was found in ${file.name}.`);
      else add(lines.join('\n'));
    } finally {
      setBusy(false);
    }
  };
  const readPicture = async (file: File) => {
    setBusy(true);
    setFileProblem(null);
    try {
      const pixels = isDrawing(file) ? await pixelsOfDrawing(file) : null;
      const it = await client.ask(pixels ? { type: 'pixels', pixels } : { type: 'picture', picture: file });
      if (it.type === 'problem') setFileProblem(it.message);
      if (it.type !== 'clusters') return;
      if (it.clusters.length === 0) setFileProblem(`${file.name} shows no colours.`);
      const colors = it.clusters.slice(0, 8).map(({ color }) => printPainted(color));
      add(asLines(asNamed(colors)));
    } finally {
      setBusy(false);
    }
  };
  return {
    text,
    setText: (next: string) => {
      setFileProblem(null);
      setText(next);
    },
    brand,
    unread: read.unread,
    guide,
    problem: fileProblem ?? textProblem,
    busy,
    setPurpose: (swatch: string, purpose: BrandSwatch['purpose']) =>
      setPurposes(now => new Map(now).set(swatch, purpose)),
    readFile,
    readPicture,
  };
}

/** Colours of a picture by their purposes: `Identity`, `Accent`, `Neutral 2`. */
function asNamed(colors: readonly string[]): { name: string; color: string }[] {
  const counts = new Map<string, number>();
  return asBrandSwatches(colors.map((color, i) => ({ name: `Colour ${i + 1}`, color }))).map(it => {
    const label = PURPOSE_LABELS[it.purpose];
    const count = (counts.get(label) ?? 0) + 1;
    counts.set(label, count);
    return { name: count === 1 ? label : `${label} ${count}`, color: it.color };
  });
}
