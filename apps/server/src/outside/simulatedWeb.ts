import { setTimeout as wait } from 'node:timers/promises';
import { LIMITS } from '@cove/core';
import { DRAWING_HEIGHT, DRAWING_WIDTH, libraryDrawing } from '@cove/core/starters';
import { Injectable } from '@nestjs/common';
import sharp from 'sharp';
import { ProblemException } from '../common/problem';
import { Config } from '../config/config';

/** The one host that there is outside: it gives pictures away, and shows what can go wrong with an address. */
export const OUTSIDE_HOST = 'pictures.example';

/** Milliseconds after which nobody waits for an answer from outside any more. */
const LONGEST = 8000;
const SLOW = 20_000;
/** Milliseconds that an answer takes, as long as answers from elsewhere do. */
const DELAY = { least: 120, most: 600 };
/** One request in so many fails where that is not told otherwise. */
const FAILS_ONE_IN = 20;

export interface OutsideAnswer {
  type: string;
  data: Buffer;
}

const noAnswer = (message: string) =>
  new ProblemException({ code: 'no-answer', message: `${message} Nothing has changed; try again.` });
const badAddress = (found: string, message: string) =>
  new ProblemException({
    code: 'bad-address',
    message,
    found: found.slice(0, 200),
    expected: `an address such as https://${OUTSIDE_HOST}/ferry-at-noon.jpg`,
  });

/** Only what could be asked for from anywhere: no other scheme, no name and password, nothing of one’s own network. */
function readAddress(text: string): URL {
  const url = URL.canParse(text.trim()) ? new URL(text.trim()) : null;
  if (!url || (url.protocol !== 'https:' && url.protocol !== 'http:'))
    throw badAddress(text, 'This is no web address: it begins with https:// or http://.');
  if (url.username !== '' || url.password !== '')
    throw badAddress(text, 'An address with a name and password in it is not asked for.');
  if (url.hostname !== OUTSIDE_HOST || url.port !== '')
    throw badAddress(
      text,
      `There is no host ${url.host} outside: this program ships with ${OUTSIDE_HOST} alone.`,
    );
  return url;
}

/** What lies outside, as far as this program knows: it asks nobody, and takes as long as if it did. */
@Injectable()
export class SimulatedWeb {
  private readonly drawn = new Map<string, Promise<Buffer>>();

  constructor(private readonly config: Config) {}

  /** Waits as one waits for others, and fails as often as they do. */
  async answerTime(what: string): Promise<void> {
    const { COVE_OUTSIDE } = this.config;
    if (COVE_OUTSIDE === 'quick') return;
    await wait(DELAY.least + Math.random() * (DELAY.most - DELAY.least));
    if (COVE_OUTSIDE === 'failing' || Math.random() * FAILS_ONE_IN < 1)
      throw noAnswer(`${what} did not answer.`);
  }

  /** A picture of the library as JPEG; null where there is none of that id. */
  picture(id: string, width: number): Promise<Buffer> | null {
    const key = `${id} ${width}`;
    const known = this.drawn.get(key);
    if (known) return known;
    const drawing = libraryDrawing(id);
    if (!drawing) return null;
    const made = sharp(Buffer.from(drawing.svg), { density: 72 })
      .resize({ width, height: Math.round((width * DRAWING_HEIGHT) / DRAWING_WIDTH) })
      .jpeg({ quality: 84 })
      .toBuffer();
    // Small ones only: they are asked for again and again.
    if (width < DRAWING_WIDTH) this.drawn.set(key, made);
    return made;
  }

  /** What is found at an address; throws what is told to whoever typed it. */
  async fetch(text: string): Promise<OutsideAnswer> {
    const { pathname } = readAddress(text);
    await this.answerTime(OUTSIDE_HOST);
    if (pathname === '/slow.jpg') {
      await wait(this.config.COVE_OUTSIDE === 'quick' ? 0 : Math.min(SLOW, LONGEST));
      throw noAnswer(`${OUTSIDE_HOST} took longer than ${LONGEST / 1000} seconds.`);
    }
    if (pathname === '/huge.jpg')
      throw new ProblemException({
        code: 'too-large',
        message: `What is there has more than ${LIMITS.upload.pictureBytes / 1_000_000} MB.`,
      });
    if (pathname === '/broken.jpg')
      return { type: 'image/jpeg', data: Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2]) };
    if (pathname === '/')
      return { type: 'text/html', data: Buffer.from('<!doctype html><title>Pictures</title>') };
    const id = /^\/([a-z-]{1,80})\.jpe?g$/.exec(pathname)?.[1];
    const data = id === undefined ? null : await this.picture(id, DRAWING_WIDTH);
    if (!data) throw badAddress(text, `${OUTSIDE_HOST} says that there is nothing at this address (404).`);
    return { type: 'image/jpeg', data };
  }
}
