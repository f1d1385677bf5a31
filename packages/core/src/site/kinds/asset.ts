import type { Id } from '../records.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import type { InGuide, RecordKind } from './recordKind.ts';

/** What plays on a page, and the captions of it (WebVTT). */
const MEDIA_TYPES = {
  'video/mp4': 'mp4',
  'video/webm': 'webm',
  'audio/mpeg': 'mp3',
  'audio/mp4': 'm4a',
  'audio/ogg': 'ogg',
  'audio/wav': 'wav',
  'text/vtt': 'vtt',
} as const;
export const isMediaType = (mime: string): boolean => Object.hasOwn(MEDIA_TYPES, mime);

/** What is kept as it was given, to be played or taken home by visitors; everything else among a site's files is a picture. */
export const FILE_TYPES = {
  ...MEDIA_TYPES,
  'application/pdf': 'pdf',
  'application/zip': 'zip',
  'text/plain': 'txt',
  'text/csv': 'csv',
  'text/calendar': 'ics',
} as const;
export type FileType = keyof typeof FILE_TYPES;
export const isFileType = (mime: string): mime is FileType => Object.hasOwn(FILE_TYPES, mime);

/** A picture, or a file that is only linked to: that has no size. */
export interface AssetRecord {
  id: Id;
  kind: 'asset';
  name: string;
  /** File name in storage: hash and ending. */
  file: string;
  mime: string;
  width: number;
  height: number;
  alt: string;
  /** The point that stays in view where it is cropped, in per cent of its width and height; its middle where left out. */
  focus?: PictureFocus;
}

export interface PictureFocus {
  readonly x: number;
  readonly y: number;
}
const isShare = (it: unknown): it is number =>
  typeof it === 'number' && Number.isInteger(it) && it >= 0 && it <= 100;
function readFocus(it: unknown): PictureFocus | null {
  if (typeof it !== 'object' || it === null || Object.keys(it).some(name => name !== 'x' && name !== 'y'))
    return null;
  const [x, y] = [Reflect.get(it, 'x'), Reflect.get(it, 'y')];
  return isShare(x) && isShare(y) ? { x, y } : null;
}

/** What is known of a picture or file once it is kept; the rest of its record is said by people. */
export type AssetFacts = Pick<AssetRecord, 'file' | 'mime' | 'width' | 'height'>;

const STORED = /^[a-f0-9]{16,64}\.(webp|png|jpg|avif|svg|pdf|zip|txt|csv|ics|mp4|webm|mp3|m4a|ogg|wav|vtt)$/;

export const asset: RecordKind<AssetRecord, InGuide<AssetRecord>> = {
  label: 'picture',
  read: (id, f) => ({
    id,
    kind: 'asset',
    name: f.text('name'),
    file: f.read('file', 'a stored file', it => (typeof it === 'string' && STORED.test(it) ? it : null)),
    mime: f.oneOf('mime', [
      ...['image/webp', 'image/png', 'image/jpeg', 'image/avif', 'image/svg+xml'],
      ...Object.keys(FILE_TYPES),
    ]),
    width: f.integer('width', 0, 20000),
    height: f.integer('height', 0, 20000),
    alt: f.text('alt', 500),
    ...f.maybe('focus', (it, name) => it.read(name, 'two whole numbers from 0 to 100, x and y', readFocus)),
  }),
  references: () => [],
  rightToPut: () => 'content',
  rights: {
    name: 'content',
    alt: 'content',
    focus: 'content',
    file: 'guide',
    mime: 'guide',
    width: 'guide',
    height: 'guide',
  },
  guide: {
    owned: true,
    key: record => `asset ${record.file}`,
    foundation: () => 'Icons, marks and notes',
    title: record => record.name,
    renamed: (record, rename) => ({ ...record, id: rename(record.id) }),
  },
  name: record => record.name,
  location: () => null,
  effects(was, is) {
    if (!was || !is || onlyDiffer(was, is, ['name'])) return NOTHING;
    return { rules: onlyDiffer(was, is, ['name', 'alt']) ? 'none' : 'mentioning', markup: 'mentioning' };
  },
};
