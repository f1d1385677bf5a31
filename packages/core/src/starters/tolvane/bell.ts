/** Samples a second, and seconds. */
const RATE = 8000;
const LONG = 2.4;
/** Partials of a small bell by their share of the lowest, with loudness and seconds until each is a third as loud; from memory. */
const PARTIALS = [
  [1, 0.5, 0.9],
  [2, 0.35, 0.6],
  [2.4, 0.3, 0.45],
  [3, 0.2, 0.35],
  [4.2, 0.15, 0.2],
] as const;
const LOWEST = 520;

/** The bell on the bow, struck once, as a WAV of 8-bit mono samples (RIFF, Multimedia Programming Interface 1.0). */
export function bellSound(): Uint8Array {
  const count = Math.round(RATE * LONG);
  const data = new DataView(new ArrayBuffer(44 + count));
  const write = (at: number, text: string) => {
    for (const [i, letter] of [...text].entries()) data.setUint8(at + i, letter.charCodeAt(0));
  };
  write(0, 'RIFF');
  data.setUint32(4, 36 + count, true);
  write(8, 'WAVEfmt ');
  data.setUint32(16, 16, true);
  data.setUint16(20, 1, true);
  data.setUint16(22, 1, true);
  data.setUint32(24, RATE, true);
  data.setUint32(28, RATE, true);
  data.setUint16(32, 1, true);
  data.setUint16(34, 8, true);
  write(36, 'data');
  data.setUint32(40, count, true);
  for (let i = 0; i < count; i++) {
    const t = i / RATE;
    const sound = PARTIALS.reduce(
      (sum, [share, loud, fades]) =>
        sum + loud * Math.exp(-t / fades) * Math.sin(2 * Math.PI * LOWEST * share * t),
      0,
    );
    data.setUint8(44 + i, Math.max(0, Math.min(255, Math.round(128 + 84 * sound))));
  }
  return new Uint8Array(data.buffer);
}
