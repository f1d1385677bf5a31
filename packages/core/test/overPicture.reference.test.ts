import { describe, expect, it } from '@jest/globals';
import { compositeOver, contrast, parseColor } from '../src/color/index.ts';
import { isLargeText, leastTint, pictureUnder, wantedFor, worstContrast } from '../src/measure/index.ts';
import { seeded } from './support/random.ts';

const color = (text: string) => {
  const it = parseColor(text);
  if (!it) throw new Error(text);
  return it;
};
const [white, black] = [color('#fff'), color('#000')];
const patches = (...colors: [number, number, number][]) =>
  new Uint8ClampedArray(colors.flatMap(it => [...it, 255]));
const picture = { width: 1200, height: 800 };

describe('what of a picture lies under a text', () => {
  // CSS Backgrounds 3, section 3.9, and the formula of section 3.6: x = (box − drawn) × per cent.
  it.each([
    ['cover', '50% 50%', { width: 600, height: 800 }, { x: 300, y: 0, width: 600, height: 800 }],
    ['cover', '0% 50%', { width: 600, height: 800 }, { x: 0, y: 0, width: 600, height: 800 }],
    ['cover', '100% 50%', { width: 600, height: 800 }, { x: 600, y: 0, width: 600, height: 800 }],
    ['cover', '50% 50%', { width: 2400, height: 800 }, { x: 0, y: 200, width: 1200, height: 400 }],
    ['contain', '50% 50%', { width: 600, height: 800 }, { x: 0, y: 0, width: 1200, height: 800 }],
    ['auto', '0% 0%', { width: 400, height: 300 }, { x: 0, y: 0, width: 400, height: 300 }],
    ['600px', '0px 0px', { width: 600, height: 400 }, { x: 0, y: 0, width: 1200, height: 800 }],
    ['50% auto', '20px 10px', { width: 600, height: 800 }, { x: 0, y: 0, width: 1200, height: 800 }],
  ])('%s at %s in a box of %j', (size, position, box, expected) => {
    const found = pictureUnder({ x: 0, y: 0, ...box }, { box, picture, size, position });
    for (const key of ['x', 'y', 'width', 'height'] as const)
      expect(found?.[key]).toBeCloseTo(expected[key], 6);
  });
  it('is nothing beside a picture that does not reach so far', () => {
    const box = { width: 600, height: 800 };
    expect(
      pictureUnder(
        { x: 0, y: 0, width: 100, height: 100 },
        { box, picture, size: 'contain', position: '50% 50%' },
      ),
    ).toBeNull();
  });
});

describe('text over a picture', () => {
  it('has the contrast of its worst patch', () => {
    // WCAG 2.2, "contrast ratio": white on black is 21, on #767676 4.54 (WebAIM's and W3C's common example, from memory).
    expect(worstContrast(patches([0, 0, 0]), white, null, 0)).toBeCloseTo(21, 5);
    expect(worstContrast(patches([0, 0, 0], [118, 118, 118]), white, null, 0)).toBeCloseTo(4.54, 2);
    expect(worstContrast(patches([255, 255, 255], [0, 0, 0]), white, null, 0)).toBeCloseTo(1, 5);
  });
  it('gets the least tint that lets it be read, and one hundredth less does not', () => {
    const bright = patches([240, 230, 180], [90, 140, 200], [200, 200, 200]);
    const share = leastTint(bright, white, black, 4.5);
    if (share === null) throw new Error('none');
    expect(worstContrast(bright, white, black, share)).toBeGreaterThanOrEqual(4.5);
    expect(worstContrast(bright, white, black, share - 0.01)).toBeLessThan(4.5);
    expect(leastTint(patches([0, 0, 0]), white, black, 4.5)).toBe(0);
    expect(leastTint(bright, white, color('#ccc'), 4.5)).toBeNull();
  });
  it('gets the least for any picture, text and tint', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed);
      const byte = () => random.int(256);
      const some = patches([byte(), byte(), byte()], [byte(), byte(), byte()], [byte(), byte(), byte()]);
      const text = random.int(2) ? white : black;
      const tint = color(`rgb(${byte()} ${byte()} ${byte()})`);
      const share = leastTint(some, text, tint, 4.5);
      const enough = Array.from({ length: 101 }, (_, i) => i / 100).filter(
        it => worstContrast(some, text, tint, it) >= 4.5,
      );
      expect(share).toBe(enough[0] ?? null);
    }
  });
  it('is blended as a browser blends: the same as laying the colours over each other', () => {
    const tint = color('oklch(0.4 0.1 320)');
    const some = patches([240, 230, 180]);
    const ground = color('rgb(240 230 180)');
    // A see-through colour is painted with 256 steps of alpha, a share of a tint is blended as it is.
    const share = 153 / 255;
    expect(worstContrast(some, white, tint, share)).toBeCloseTo(
      contrast(white, compositeOver({ ...tint, alpha: share }, ground)),
      1,
    );
  });
  it('needs less where it is large', () => {
    // WCAG 2.2, 1.4.3 and "large scale": 18 pt is 24 px, 14 pt bold 18.67 px.
    expect([
      isLargeText(24, 400),
      isLargeText(23.9, 400),
      isLargeText(18.7, 700),
      isLargeText(18.6, 700),
    ]).toEqual([true, false, true, false]);
    expect([wantedFor(true), wantedFor(false)]).toEqual([3, 4.5]);
  });
});
