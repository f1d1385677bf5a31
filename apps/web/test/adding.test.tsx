import { isItem, nodesUnder, type Site, sectionsIn, WIDGETS } from '@cove/core';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { foundAmong } from '../src/adding/offers.ts';
import { PageLibrary } from '../src/adding/pages/PageLibrary.tsx';
import { placeInWords, seamAt } from '../src/adding/place.ts';
import { recentSections, recentWidgets } from '../src/adding/recent.ts';
import { SectionLibrary } from '../src/adding/sections/SectionLibrary.tsx';
import { useAdditions } from '../src/adding/useAdditions.ts';
import { WidgetLibrary } from '../src/adding/widgets/WidgetLibrary.tsx';
import { widgetOffers } from '../src/adding/widgets/widgetOffers.ts';
import { useSelection } from '../src/onPage/useSelection.ts';
import { PictureLibrary } from '../src/pictures/PictureLibrary.tsx';
import type { SiteSession } from '../src/session/siteSession.ts';
import { openDemo } from './support/openDemo.tsx';

let session: SiteSession;
beforeEach(() => {
  localStorage.clear();
  for (const { store } of [recentWidgets, recentSections]) store.setState({ names: [] });
  // jsdom has no layout, so nothing is ever scrolled to, and no sheets of the kind that frames are dressed with.
  Object.defineProperty(HTMLIFrameElement.prototype, 'contentDocument', { get: () => null });
  Object.defineProperty(Element.prototype, 'clientHeight', { get: () => 400 });
  Object.defineProperty(Element.prototype, 'clientWidth', { get: () => 640 });
  Element.prototype.scrollIntoView = () => {};
  HTMLElement.prototype.scrollTo = () => {};
});
afterEach(() => {
  cleanup();
  session?.close();
});

const widgets = WIDGETS.filter(it => !isItem(it));
const found = (query: string): string[] =>
  foundAmong(widgetOffers(widgets, []), query).flatMap(group => group.offers.map(it => it.id));

describe('the widgets that are offered', () => {
  it('say what they are in a few words, each of them', () => {
    for (const { name, about, words } of widgets)
      expect([name, (about ?? '').length > 5, (words ?? '').length > 5]).toEqual([name, true, true]);
  });
  it.each([
    ['quote', 'quote'],
    ['Text', 'text'],
    ['faq', 'accordion'],
    ['photo', 'picture'],
    ['carousel', 'slides'],
    ['statistics', 'figures'],
    ['timetable', 'table'],
    ['review', 'testimonials'],
    ['how to', 'steps'],
    ['menu', 'navigation'],
    ['  CHAT ', 'help'],
  ])('are found by what people call them: %s', (query, first) => {
    expect(found(query)[0]).toBe(first);
  });
  it('are found by the beginning of any word, and not at all by nonsense', () => {
    expect(found('pict')).toContain('pictureText');
    expect(found('qqqq')).toEqual([]);
  });
  it('stand under what they are for, what was added last before them, once each', () => {
    const groups = foundAmong(widgetOffers(WIDGETS, ['slides', 'gone', 'heading']), '');
    expect(groups.map(it => it.label).slice(0, 3)).toEqual(['Into this', 'Recent', 'Text']);
    expect(groups[1]?.offers.map(it => it.id)).toEqual(['slides', 'heading']);
    const keys = groups.flatMap(it => it.offers.map(offer => offer.key));
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.filter(it => it.endsWith(' heading'))).toHaveLength(2);
  });
});

/** The libraries beside the preview, on the page as it is. */
function Adding({ site, page, opened }: { site: Site; page: string; opened: string[] }) {
  const selection = useSelection(site, page);
  const adding = useAdditions();
  return (
    <>
      <button type="button" onClick={() => adding.begin({ what: 'widget' })}>
        Begin
      </button>
      <button type="button" onClick={() => adding.begin({ what: 'section', index: 1 })}>
        Section
      </button>
      <button type="button" onClick={() => adding.begin({ what: 'page' })}>
        New page
      </button>
      {adding.wanted?.what === 'widget' && (
        <WidgetLibrary
          site={site}
          page={page}
          selection={selection}
          addable={WIDGETS}
          adding={adding}
          onSection={null}
        />
      )}
      {adding.wanted?.what === 'section' && (
        <SectionLibrary
          site={site}
          page={page}
          index={adding.wanted.index}
          adding={adding}
          onAdded={selection.pickNode}
          onWidget={() => adding.begin({ what: 'widget' })}
        />
      )}
      {adding.wanted?.what === 'page' && (
        <PageLibrary site={site} page={page} adding={adding} onAdded={id => opened.push(id)} />
      )}
      {adding.wanted && <aside ref={adding.setPreview} />}
    </>
  );
}
const field = () => screen.getByRole('combobox', { name: 'Find a widget' });
const onHome = () =>
  nodesUnder(session.site, sectionsIn(session.site, 'home', 'main').at(-1)?.id ?? '').map(
    it => session.site.kinds.widget.get(it)?.widget,
  );

const facts = (name: string) => screen.getByText(name).nextElementSibling?.textContent;

describe('the library', () => {
  beforeEach(async () => {
    const demo = await openDemo();
    session = demo.session;
    demo.show(site => <Adding site={site} page="home" opened={[]} />);
    fireEvent.click(screen.getByRole('button', { name: 'Begin' }));
  });
  const chosen = () => screen.getByRole('option', { selected: true }).textContent ?? '';

  it('has nothing on the page until Enter, and then all of it in one step', () => {
    const before = onHome();
    fireEvent.change(field(), { target: { value: 'faq' } });
    expect(chosen()).toContain('Accordion');
    expect(onHome()).toEqual(before);
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(onHome()).toEqual([...before, 'accordion']);
    expect(screen.queryByRole('listbox')).toBeNull();
    expect(recentWidgets.store.getState().names).toEqual(['accordion']);
    act(() => session.undo());
    expect(onHome()).toEqual(before);
  });
  it('stays for the next one where that is asked for, which goes behind the last', () => {
    const before = onHome();
    for (const query of ['quote', 'divider']) {
      fireEvent.change(field(), { target: { value: query } });
      fireEvent.keyDown(field(), { key: 'Enter', shiftKey: true });
    }
    expect(onHome()).toEqual([...before, 'quote', 'divider']);
    fireEvent.keyDown(field(), { key: 'Escape' });
    expect(screen.queryByRole('listbox')).toBeNull();
  });
  it('tells what a new one asks for, where it goes and what it can become', async () => {
    fireEvent.change(field(), { target: { value: 'gallery' } });
    await waitFor(() => expect(facts('Starts with')).toBe('3 pictures to choose'));
    expect(facts('Goes in')).toBe('Ashore, after Card list');
    expect(facts('Used')).toBe('5 times on this site');
    expect(facts('Turns into')).toBe('Slides, Card list');
  });
  it('adds it in the look that was chosen, which the guide has then', async () => {
    fireEvent.change(field(), { target: { value: 'testimonials' } });
    const look = await screen.findByRole('radio', { name: 'Person beside' });
    fireEvent.click(look);
    await waitFor(() => expect(look.getAttribute('aria-checked')).toBe('true'));
    fireEvent.click(screen.getByRole('button', { name: 'Add testimonials' }));
    const id = nodesUnder(session.site, 'home-ashore').at(-1) ?? '';
    const variant = session.site.kinds.widget.get(id)?.variants.look ?? '';
    expect(session.site.kinds.variant.get(variant)?.name).toBe('Person beside');
    act(() => session.undo());
    expect(session.site.kinds.variant.has(variant)).toBe(false);
  });
  it('says so where nothing is called that', () => {
    fireEvent.change(field(), { target: { value: 'qqqq' } });
    expect(screen.getByText(/No widget is called “qqqq”/)).toBeDefined();
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(screen.getByRole('listbox')).toBeDefined();
  });
});

describe('the library of sections', () => {
  const find = () => screen.getByRole('combobox', { name: 'Find a section' });
  const onPage = () => sectionsIn(session.site, 'home', 'main').map(it => it.name);
  const footers = () => sectionsIn(session.site, 'home', 'footer').map(it => it.name);
  beforeEach(async () => {
    const demo = await openDemo();
    session = demo.session;
    // Nobody has kept one of their own.
    Object.assign(globalThis, {
      fetch: () =>
        Promise.resolve({
          ok: true,
          status: 200,
          headers: new Headers(),
          text: async () => JSON.stringify([]),
        }),
    });
    demo.show(site => <Adding site={site} page="home" opened={[]} />);
    fireEvent.click(screen.getByRole('button', { name: 'Section' }));
  });

  it('finds one by what people call its widgets, and lays it in the gap it was opened in', () => {
    const before = onPage();
    fireEvent.change(find(), { target: { value: 'faq' } });
    expect(screen.getByRole('option', { selected: true }).textContent).toBe('Questions and answers');
    expect(facts('Starts with')).toMatch(/^\d+ texts to write/);
    fireEvent.keyDown(find(), { key: 'Enter' });
    expect(onPage()).toEqual([before[0], 'Questions and answers', ...before.slice(1)]);
    expect(recentSections.store.getState().names).toHaveLength(1);
    act(() => session.undo());
    expect(onPage()).toEqual(before);
  });
  it('lays several, one below the other', () => {
    const before = onPage();
    for (const query of ['empty', 'Three voices']) {
      fireEvent.change(find(), { target: { value: query } });
      fireEvent.keyDown(find(), { key: 'Enter', shiftKey: true });
    }
    const [first, ...others] = before;
    expect(onPage()).toEqual([first, expect.any(String), 'Three voices', ...others]);
  });
  it('lays a footer in place of the one that is there, or below what it holds', () => {
    const [before] = footers();
    fireEvent.change(find(), { target: { value: 'Three columns' } });
    expect(facts('Goes in')).toBe('The footer, on every page that has one');
    fireEvent.click(screen.getByRole('radio', { name: 'Below what the footer holds' }));
    fireEvent.click(screen.getByRole('button', { name: 'Add section' }));
    expect(footers()).toEqual([before, 'Three columns']);
    act(() => session.undo());
    fireEvent.click(screen.getByRole('button', { name: 'Section' }));
    fireEvent.change(find(), { target: { value: 'Three columns' } });
    fireEvent.keyDown(find(), { key: 'Enter' });
    expect(footers()).toEqual(['Three columns']);
  });
});

describe('the library of pages', () => {
  it('adds a ready page with its sections and opens it, or an empty one', async () => {
    const demo = await openDemo();
    session = demo.session;
    const opened: string[] = [];
    demo.show(site => <Adding site={site} page="home" opened={opened} />);
    for (const query of ['questions', 'empty']) {
      fireEvent.click(screen.getByRole('button', { name: 'New page' }));
      const find = screen.getByRole('combobox', { name: 'Find a page' });
      fireEvent.change(find, { target: { value: query } });
      fireEvent.keyDown(find, { key: 'Enter' });
    }
    const titles = opened.map(it => session.site.kinds.page.get(it)?.title);
    expect(titles).toEqual(['Questions', 'New page']);
    expect(opened.map(it => sectionsIn(session.site, it, 'main').length)).toEqual([4, 0]);
  });
});

describe('a place', () => {
  it('is told by what stands before it, and the page parts below what stands outermost there', async () => {
    ({ session } = await openDemo());
    const { site } = session;
    expect(placeInWords(site, { parent: 'before', index: 1 })).toBe('Before you sail, after Before you sail');
    expect(placeInWords(site, { parent: 'before-row', index: 0 })).toMatch(
      /^Before you sail, .*, at the beginning$/,
    );
    expect(seamAt(site, { parent: 'before-row', index: 1 })).toEqual({
      node: 'before-row',
      part: 'box',
      side: 'margin-bottom',
    });
    expect(seamAt(site, { parent: 'before', index: 0 })).toEqual({
      node: 'before',
      part: 'inner',
      side: 'padding-bottom',
    });
  });
});

describe('the library of pictures', () => {
  let taken: string[] = [];
  let sent: string[] = [];
  beforeEach(async () => {
    taken = [];
    sent = [];
    const demo = await openDemo();
    session = demo.session;
    const { fetch: before } = globalThis;
    Object.assign(globalThis, {
      fetch: (request: Request) => {
        if (!request.url.endsWith('/assets')) return before(request);
        sent.push(request.url);
        const number = sent.length;
        const answer =
          number === 2
            ? { ok: false, status: 422, body: { code: 'bad-picture', message: 'That is no picture.' } }
            : {
                ok: true,
                status: 200,
                body: { file: `${number}bcdef0123456789.webp`, mime: 'image/webp', width: 30, height: 20 },
              };
        return Promise.resolve({
          ...answer,
          headers: new Headers(),
          text: async () => JSON.stringify(answer.body),
        });
      },
    });
    demo.show(site => <PictureLibrary site={site} onChoose={id => taken.push(id)} onClose={() => {}} />);
  });
  const names = () => screen.getAllByRole('option').map(it => it.textContent);
  const give = (label: string, ...files: string[]) =>
    fireEvent.change(screen.getByLabelText(label), {
      target: { files: files.map(it => new File(['x'], it, { type: 'image/png' })) },
    });

  it('shows them all, finds some, and those that nothing uses', () => {
    expect(names()).toContain('Early boat');
    fireEvent.change(screen.getByRole('textbox', { name: 'Find a picture' }), { target: { value: 'ridge' } });
    expect(names()).toEqual(['Hesk']);
    fireEvent.change(screen.getByRole('textbox', { name: 'Find a picture' }), { target: { value: '' } });
    fireEvent.click(screen.getByRole('radio', { name: 'Unused' }));
    expect(names()).toEqual(['In fog']);
  });
  it('says where one is used, and lets nobody delete it there', () => {
    fireEvent.click(screen.getByRole('option', { name: 'Early boat' }));
    const details = screen.getByRole('region', { name: 'Early boat' });
    expect(within(details).getByText(/^Used \d+ times$/)).toBeDefined();
    expect(within(details).getByRole('button', { name: 'Delete' })).toHaveProperty('disabled', true);
    fireEvent.click(screen.getByRole('button', { name: 'Use this picture' }));
    expect(taken).toEqual(['pic-early-boat']);
  });
  it('takes several at once; one that is refused is told, and the others come', async () => {
    give('Pictures, files', 'quay-at_dawn.png', 'broken.png', 'mast.png');
    await screen.findByText(/^broken\.png: /);
    await waitFor(() => expect(names()).toEqual(expect.arrayContaining(['Quay at dawn', 'Mast'])));
    expect(sent).toHaveLength(3);
    expect(names()).not.toContain('Broken');
  });
  it('replaces one everywhere and leaves its words; undone, it is the old one', async () => {
    const before = session.site.kinds.asset.get('pic-hesk');
    fireEvent.click(screen.getByRole('option', { name: 'Hesk' }));
    give('Other picture, file', 'new-hesk.png');
    await waitFor(() => expect(session.site.kinds.asset.get('pic-hesk')?.file).toBe('1bcdef0123456789.webp'));
    expect(session.site.kinds.asset.get('pic-hesk')).toMatchObject({
      name: 'Hesk',
      alt: before?.alt,
      width: 30,
    });
    act(() => session.undo());
    expect(session.site.kinds.asset.get('pic-hesk')).toEqual(before);
  });
  it('describes one, and deletes one that is not used, undone as one step', () => {
    fireEvent.click(screen.getByRole('option', { name: 'In fog' }));
    const alt = screen.getByRole('textbox', { name: 'Alt text' });
    fireEvent.change(alt, { target: { value: 'A ship between two islands' } });
    fireEvent.keyDown(alt, { key: 'Enter' });
    expect(session.site.kinds.asset.get('pic-in-fog')?.alt).toBe('A ship between two islands');
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
    expect(session.site.kinds.asset.has('pic-in-fog')).toBe(false);
    act(() => session.undo());
    expect(session.site.kinds.asset.has('pic-in-fog')).toBe(true);
  });
});
