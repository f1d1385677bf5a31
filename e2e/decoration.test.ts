import { describe, expect, it } from '@jest/globals';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();

describe('the ground of a section', () => {
  it('is made of layers, kept in the guide, worn by the footer too, and altered in one place', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=before&part=box');
    const canvas = await walker.frame('Page');
    await walker.click('Edges and layers behind it');
    await walker.click('Add a layer');
    await walker.type('First layer', 'pattern(swell, role.accent)');
    const layer = (node: string, nth = 'first') => `[data-node=${node}] > [data-part=${nth}Layer]`;
    await walker.styleIs(canvas, layer('before'), 'background-image', it => it.startsWith('url('));
    await walker.click('Add a layer');
    await walker.type('Second layer', 'pattern(beacon, role.accent)');
    await walker.styleIs(canvas, layer('before', 'second'), 'background-image', it => it.startsWith('url('));
    // The later one lies over the other until it is moved.
    await walker.styleIs(canvas, layer('before', 'second'), 'z-index', '-1');
    await walker.click('Move first layer up');
    await walker.styleIs(canvas, layer('before', 'second'), 'z-index', '-2');
    await walker.styleIs(canvas, layer('before'), 'z-index', '-1');
    expect(await walker.violations()).toEqual([]);

    await walker.click('Keep as a ground…');
    await walker.type('Name of the ground', 'Shore');
    await until(
      () => walker.page.$$eval('select', all => all.map(it => it.selectedOptions[0]?.text)),
      all => all.includes('Shore'),
      'the section wears it',
    );
    await walker.styleIs(canvas, layer('before'), 'z-index', '-1');
    await (await walker.row('Footer')).click();
    await walker.choose('Ground', 'Shore');
    await walker.styleIs(canvas, layer('foot'), 'background-image', it => it.startsWith('url('));

    await walker.click('Edit Shore');
    await walker.click('More of first layer');
    await walker.find('opacity');
    await walker.type('Opacity', '0.4');
    for (const node of ['before', 'foot']) await walker.styleIs(canvas, layer(node), 'opacity', '0.4');
    for (let i = 0; i < 6; i++) await walker.click('Undo');
    await until(
      () => canvas.$(layer('before')),
      it => it === null,
      'no layer',
    );
    await walker.kept();
  });
});

describe('a treatment of pictures', () => {
  it('is named in the guide, worn by a picture and a whole gallery, and stays when the picture is another', async () => {
    const { walker } = demo;
    await walker.open('guide');
    await walker.click('New treatment');
    await until(
      async () => walker.page.url(),
      it => it.includes('preset='),
      'it is open',
    );
    await walker.find('padding top');
    await walker.type('Padding top', '20px');
    const specimen = await walker.frame('Specimen');
    const id = new URL(walker.page.url()).searchParams.get('preset');
    await walker.styleIs(specimen, `[data-row="preset.${id}"] [data-part=mount]`, 'padding-top', '20px');
    expect(await walker.violations()).toEqual([]);

    await walker.open('pages/home?node=welcome-picture&part=box');
    const canvas = await walker.frame('Page');
    const mount = '[data-node=welcome-picture] [data-part=mount]';
    await walker.choose('Treatment', 'New treatment');
    await walker.styleIs(canvas, mount, 'padding-top', '20px');
    await walker.choose('Treatment', 'None');
    await until(
      () => canvas.$(mount),
      it => it === null,
      'no mount',
    );
    await walker.open('pages/aboard?node=pictures&part=pictures');
    const aboard = await walker.frame('Page');
    const mounts = () => aboard.$$eval('[data-node^=picture-] [data-part=mount]', all => all.length);
    await until(mounts, it => it === 6, 'a mount round each');
    await walker.choose('Treatment', 'New treatment');
    await walker.styleIs(aboard, '[data-node=picture-hesk] [data-part=mount]', 'padding-top', '20px');
    for (let i = 0; i < 5; i++) await walker.click('Undo');
    await walker.kept();
  });

  it('gives way to another in some schemes, as the guide says', async () => {
    const { walker } = demo;
    await walker.open('guide?preset=print');
    const specimen = await walker.frame('Specimen');
    const turned = '[data-row="preset.print"] [data-part=mount]';
    const turns = () => specimen.$$eval(turned, all => all.map(it => getComputedStyle(it).rotate));
    await until(turns, it => it.join() === '-1.5deg,-1.5deg,1deg,1deg', 'another in the dark schemes');
    await walker.choose('In Heather', 'This one');
    await until(turns, it => it.join() === '-1.5deg,-1.5deg,-1.5deg,1deg', 'the same in one of them');
    await walker.click('Undo');
    await until(turns, it => it.join() === '-1.5deg,-1.5deg,1deg,1deg', 'as it was');
    await walker.kept();
  });
});
