import { isId } from '../values/index.ts';
import type { ElementType } from '../widgets/index.ts';
import { readLink, readPlain, readRichText } from './content.ts';
import { BadField, type Fields } from './fields.ts';
import type { Content } from './records.ts';

export const content = (fields: Fields, type: ElementType) =>
  fields.map('content', (key, it, path): Content => {
    const field = Object.hasOwn(type.content, key) ? type.content[key] : undefined;
    const bad = (expected: string) => new BadField(path, it, expected);
    switch (field?.type) {
      case 'plain': {
        const text = readPlain(it);
        if (text === null) throw bad('text');
        return text;
      }
      case 'rich': {
        const text = readRichText(it);
        if (text === null) throw bad('paragraphs of text');
        return text;
      }
      case 'link': {
        const link = it === null ? null : readLink(it);
        if (it !== null && link === null)
          throw bad('a link to a page, an http(s) address, a mail address or a telephone number');
        return link;
      }
      case 'asset':
        if (it !== null && !isId(it)) throw bad('the id of a picture');
        return it;
      case 'icon':
        if (it !== null && !isId(it)) throw bad('the name of an icon, or the id of a drawing or picture');
        return it;
      case 'choice': {
        const choice = field.options.find(option => option === it);
        if (choice === undefined) throw bad(`one of ${field.options.join(', ')}`);
        return choice;
      }
      default:
        throw bad(`one of the fields ${Object.keys(type.content).join(', ')}`);
    }
  });
