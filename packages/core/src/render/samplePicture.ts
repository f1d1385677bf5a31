import type { Content } from '../content/index.ts';
import { picturesOf, type Site } from '../site/index.ts';
import type { ElementType } from '../widgets/index.ts';

/**
 * What a sample says, with a picture of the site where it has none but says what one shows; several beside each other show
 * several.
 */
export function withSamplePicture(
  site: Site,
  { sample, content: fields }: ElementType,
  content: Readonly<Record<string, Content>>,
  index: number,
): Readonly<Record<string, Content>> {
  const field = Object.keys(sample).find(it => fields[it]?.type === 'asset');
  // Where it could say what one shows and does not, it is shown without.
  if (field === undefined || ('alt' in fields && !sample.alt) || typeof content[field] === 'string')
    return content;
  const pictures = picturesOf(site);
  const picture = pictures[index % pictures.length];
  return picture ? { ...content, [field]: picture.id } : content;
}
