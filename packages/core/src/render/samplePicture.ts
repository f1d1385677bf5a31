import type { Content } from '../content/index.ts';
import { picturesOf, type Site } from '../site/index.ts';
import type { ElementType } from '../widgets/index.ts';

/**
 * What a sample says, with a picture of the site where it has none but says what one shows; several beside each other show
 * several.
 */
export function withSamplePicture(
  site: Site,
  { sample }: ElementType,
  content: Readonly<Record<string, Content>>,
  index: number,
): Readonly<Record<string, Content>> {
  if (!sample.alt || !('asset' in sample) || typeof content.asset === 'string') return content;
  const pictures = picturesOf(site);
  const picture = pictures[index % pictures.length];
  return picture ? { ...content, asset: picture.id } : content;
}
