export const MAP_WIDTH = 800;
export const MAP_HEIGHT = 450;

/** Shapes of a map, as `d` of paths. */
export interface DrawnMap {
  land: string;
  paths: string;
  roads: string;
  pin: string;
}

/** Numbers from 0 to 1 that a text always answers with: FNV-1a, then mulberry32; both from memory. */
function numbersOf(text: string): () => number {
  let hash = 0x811c9dc5;
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return () => {
    hash = (hash + 0x6d2b79f5) | 0;
    let t = Math.imul(hash ^ (hash >>> 15), hash | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const at = (n: number): string => n.toFixed(0);
const PIN = { x: MAP_WIDTH / 2, y: MAP_HEIGHT / 2 } as const;

/**
 * A stand-in for a map of others: a shore, roads and paths around a pin, drawn from the words of the place alone, so that one
 * place always looks the same and nothing is asked of anybody.
 */
export function drawMap(place: string): DrawnMap {
  const next = numbersOf(place.trim().toLowerCase());
  const phase = next() * 6;
  const base = MAP_HEIGHT * (0.62 + next() * 0.2);
  const shore = Array.from({ length: 21 }, (_, i) => {
    const x = (MAP_WIDTH * i) / 20;
    const y = base + Math.sin(i * 0.6 + phase) * 34 + Math.sin(i * 1.7 + phase * 2) * 12;
    return `${at(x)},${at(y)}`;
  });
  const road = () => {
    const left = MAP_HEIGHT * (0.05 + next() * 0.5);
    const right = MAP_HEIGHT * (0.05 + next() * 0.5);
    const bend = (next() - 0.5) * 120;
    return `M0 ${at(left)}Q${at(PIN.x)} ${at((left + right) / 2 + bend)} ${MAP_WIDTH} ${at(right)}`;
  };
  const lane = () => {
    const x = MAP_WIDTH * next();
    return `M${at(x)} 0L${at(x + (next() - 0.5) * 160)} ${at(MAP_HEIGHT * 0.6)}`;
  };
  return {
    land: `M0 0H${MAP_WIDTH}V${shore.at(-1)?.split(',')[1]}L${shore.toReversed().join('L')}V0z`,
    // One road leads past the pin, wherever the others go.
    roads: `${road()}M${at(PIN.x - 60)} 0L${PIN.x} ${PIN.y}L${at(PIN.x + 40)} ${at(base - 30)}${road()}`,
    paths: Array.from({ length: 9 }, lane).join(''),
    pin: `M${PIN.x} ${PIN.y}c-6-14-22-24-22-42a22 22 0 0 1 44 0c0 18-16 28-22 42zm0-34a9 9 0 1 0 0-18a9 9 0 0 0 0 18z`,
  };
}
