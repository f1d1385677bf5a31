import { bellSound } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { rangeIn } from '../src/sitesHost/range';
import { typeOfBytes } from '../src/storage/typeOfBytes';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('played');
});
afterAll(() => world.close());

const bytes = (...some: (string | number)[]) =>
  Buffer.concat(some.map(it => (typeof it === 'string' ? Buffer.from(it, 'latin1') : Buffer.from([it]))));

describe('what plays', () => {
  it.each<[string, Buffer, string | null]>([
    // ISO/IEC 14496-12, section 4.3; Matroska (RFC 9559, section 8); RFC 3533, section 6; ID3v2.4, section 3.1; WebVTT, section 4.1.
    ['film.mp4', bytes(0, 0, 0, 24, 'ftypisom'), 'video/mp4'],
    ['talk.m4a', bytes(0, 0, 0, 24, 'ftypM4A '), 'audio/mp4'],
    ['film.webm', bytes(0x1a, 0x45, 0xdf, 0xa3, 0x9f), 'video/webm'],
    ['talk.ogg', bytes('OggS', 0, 2), 'audio/ogg'],
    ['song.mp3', bytes('ID3', 4, 0), 'audio/mpeg'],
    ['song.mp3', bytes(0xff, 0xfb, 0x90), 'audio/mpeg'],
    ['bell.wav', Buffer.from(bellSound()), 'audio/wav'],
    ['captions.vtt', bytes('WEBVTT\n\n00:00.000 --> 00:02.000\nA bell.\n'), 'text/vtt'],
    ['captions.vtt', bytes('<script>alert(1)</script>'), null],
    ['film.mp4', bytes('<html><script>alert(1)</script>'), null],
    ['film.mp4', bytes('GIF89a'), null],
  ])('%s is told by what it holds', (name, data, type) => {
    expect(typeOfBytes(data, name)).toBe(type);
  });

  it('is refused where it is none, and kept where it is', async () => {
    const upload = (name: string, data: Buffer) =>
      world.upload(`/api/sites/tolvane/assets/files?name=${name}`, data);
    const { body } = await upload('film.mp4', bytes('no film at all')).expect(422);
    expect(body.message).toContain('MP4 or WebM');
    const { body: facts } = await upload('film.mp4', bytes(0, 0, 0, 24, 'ftypisom')).expect(200);
    expect(facts).toMatchObject({ mime: 'video/mp4', width: 0, height: 0 });
    expect(facts.file).toMatch(/\.mp4$/);
  });

  it('is given to visitors in the parts that they ask for (RFC 9110, section 14)', async () => {
    await world.send('post', '/api/sites/tolvane/releases', {}).expect(202);
    const page = await published();
    const src = /<audio[^>]* src="([^"]+)"/.exec(page)?.[1] ?? '';
    const address = new URL(src, `${world.sitesAddress()}/tolvane/on-board/`);
    const bell = Buffer.from(bellSound());
    const whole = await fetch(address);
    expect(whole.headers.get('content-type')).toBe('audio/wav');
    expect(whole.headers.get('accept-ranges')).toBe('bytes');
    expect(whole.headers.get('content-disposition')).toBeNull();
    expect(Buffer.from(await whole.arrayBuffer()).equals(bell)).toBe(true);
    const part = await fetch(address, { headers: { range: 'bytes=44-99' } });
    expect([part.status, part.headers.get('content-range')]).toEqual([206, `bytes 44-99/${bell.length}`]);
    expect(Buffer.from(await part.arrayBuffer()).equals(bell.subarray(44, 100))).toBe(true);
    const none = await fetch(address, { headers: { range: `bytes=${bell.length}-` } });
    expect([none.status, none.headers.get('content-range')]).toEqual([416, `bytes */${bell.length}`]);
    const policy = (await fetch(`${world.sitesAddress()}/tolvane/on-board/`)).headers.get(
      'content-security-policy',
    );
    expect(policy).toContain("media-src 'self'");
    expect(policy).toContain('frame-src https:;');
  });

  it.each<[string | undefined, ReturnType<typeof rangeIn>]>([
    [undefined, null],
    ['bytes=0-', { from: 0, to: 99 }],
    ['bytes=10-19', { from: 10, to: 19 }],
    ['bytes=90-500', { from: 90, to: 99 }],
    ['bytes=-10', { from: 90, to: 99 }],
    ['bytes=-500', { from: 0, to: 99 }],
    ['bytes=-0', 'none'],
    ['bytes=100-', 'none'],
    ['bytes=20-10', null],
    ['bytes=-', null],
    ['bytes=0-1,5-6', null],
    ['lines=1-2', null],
    [`bytes=${'9'.repeat(40)}-`, null],
  ])('%j of 100 bytes', (header, range) => {
    expect(rangeIn(header, 100)).toEqual(range);
  });
});

/** The page with the bell, once it is published. */
async function published(): Promise<string> {
  for (let i = 0; i < 200; i++) {
    const answer = await fetch(`${world.sitesAddress()}/tolvane/on-board/`);
    if (answer.ok) return answer.text();
    await new Promise(resolve => setTimeout(resolve, 100));
  }
  throw new Error('nothing was published in 20 s');
}
