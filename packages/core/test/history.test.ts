import { describe, expect, it } from '@jest/globals';
import {
  applyChange,
  dimension,
  type Edit,
  getRecord,
  History,
  must,
  newId,
  type Site,
} from '../src/index.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const rename = (id: string, name: string): Edit => ({ op: 'set', id, path: ['name'], value: name });
const nameOf = (site: Site, id: string) => site.kinds.token.get(id)?.name;

/** A person at a site that others change too. */
class Person {
  site = tiny();
  history = new History();

  private apply(edits: readonly Edit[]) {
    const applied = must(applyChange(this.site, { edits }));
    this.site = applied.site;
    return applied.inverse;
  }
  does(...edits: Edit[]): void {
    this.history.made(newId('c'), this.apply(edits), 'Act');
  }
  hears(...edits: Edit[]): void {
    this.apply(edits);
    this.history.noteOthers(edits);
  }
  /** Answers how many edits were skipped; null where there is nothing left to do. */
  turns(direction: 'undo' | 'redo'): number | null {
    const step = this.history[direction].pop();
    if (!step) return null;
    const { edits, skipped } = this.history.applicable(step, id => getRecord(this.site, id));
    if (edits.length > 0) this.history.turned(direction, step, newId('c'), this.apply(edits));
    return skipped;
  }
}

describe('undo', () => {
  it('leaves alone what somebody else has written since, and says how much', () => {
    const person = new Person();
    person.does(rename('sea', 'A'), rename('foam', 'B'));
    person.hears(rename('foam', 'Theirs'));
    expect(person.turns('undo')).toBe(1);
    expect(nameOf(person.site, 'sea')).toBe('Sea');
    expect(nameOf(person.site, 'foam')).toBe('Theirs');
  });
  it('takes back what was done after somebody else wrote there, and not what was done before', () => {
    const person = new Person();
    person.does(rename('sea', 'First'));
    person.hears(rename('sea', 'Theirs'));
    person.does(rename('sea', 'Second'));
    expect(person.turns('undo')).toBe(0);
    expect(nameOf(person.site, 'sea')).toBe('Theirs');
    expect(person.turns('undo')).toBe(1);
    expect(nameOf(person.site, 'sea')).toBe('Theirs');
  });
  it('knows a whole from its parts: a map replaced overtakes its entries, and the other way round', () => {
    const slot = (value: number): Edit => ({
      op: 'set',
      id: 'one',
      path: ['styles', 'box/opacity'],
      value: { type: 'number', value },
    });
    const whole: Edit = { op: 'set', id: 'one', path: ['styles'], value: {} };
    for (const [mine, theirs] of [
      [slot(0.5), whole],
      [whole, slot(0.5)],
    ] as const) {
      const person = new Person();
      if (mine === whole) person.hears(slot(0.9));
      person.does(mine);
      person.hears(theirs);
      expect(person.turns('undo')).toBe(1);
    }
    const person = new Person();
    person.does(slot(0.5));
    person.hears({ op: 'set', id: 'one', path: ['styles', 'box/paddingTop'], value: dimension(3, 'px') });
    expect(person.turns('undo')).toBe(0);
  });
  it('does not take away what somebody else has since put something into', () => {
    const section = tiny().kinds.section.get('one');
    const button = tiny(b => b.widget('w', 'one', 'button', { label: 'x' })).kinds.widget.get('w');
    if (!section || !button) throw new Error('not there');
    const person = new Person();
    person.does({ op: 'put', record: { ...section, id: 'two' } });
    person.hears({ op: 'put', record: { ...button, at: { ...button.at, parent: 'two' } } });
    expect(person.turns('undo')).toBe(1);
    expect(person.site.kinds.widget.has('w')).toBe(true);
  });
  it('goes back to the beginning and forward to the end, when nobody else is there, 50 seeds', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const random = seeded(seed);
      const person = new Person();
      const states = [nameOf(person.site, 'sea')];
      for (let i = 0; i < 12; i++) {
        person.does(rename('sea', `Name ${random.int(1e6)}`));
        states.push(nameOf(person.site, 'sea'));
      }
      let at = 12;
      for (let i = 0; i < 60; i++) {
        const direction = random.pick(['undo', 'redo'] as const);
        if (person.turns(direction) !== null) at += direction === 'undo' ? -1 : 1;
        expect({ seed, name: nameOf(person.site, 'sea') }).toEqual({ seed, name: states[at] });
      }
    }
  });
  it('is the same after it was kept and read again', () => {
    const person = new Person();
    person.does(rename('sea', 'A'));
    person.does(rename('foam', 'B'));
    person.hears(rename('foam', 'Theirs'));
    person.history = new History(JSON.parse(JSON.stringify(person.history.kept())));
    expect(person.turns('undo')).toBe(1);
    expect(person.turns('undo')).toBe(0);
    expect(nameOf(person.site, 'sea')).toBe('Sea');
    expect(person.turns('redo')).toBe(0);
    expect(nameOf(person.site, 'sea')).toBe('A');
  });
  /** A person at a site with a swatch that nothing follows. */
  function withSpare() {
    const person = new Person();
    const sea = person.site.kinds.token.get('sea');
    if (!sea) throw new Error('There is no sea.');
    const spare = { ...sea, id: 'spare', order: 'zz', name: 'Spare' };
    person.does({ op: 'put', record: spare });
    return { person, spare };
  }
  it('brings back what a step altered before it took it away, as it was before both', () => {
    const { person, spare } = withSpare();
    person.does(rename('spare', 'Altered'), { op: 'remove', id: 'spare' });
    expect(person.turns('undo')).toBe(0);
    expect(getRecord(person.site, 'spare')).toEqual(spare);
    expect(person.turns('redo')).toBe(0);
    expect(getRecord(person.site, 'spare')).toBeUndefined();
  });
  it('brings back what a step put something else in the place of', () => {
    const { person, spare } = withSpare();
    person.does({ op: 'remove', id: 'spare' }, { op: 'put', record: { ...spare, name: 'Other' } });
    expect(person.turns('undo')).toBe(0);
    expect(nameOf(person.site, 'spare')).toBe('Spare');
    expect(person.turns('redo')).toBe(0);
    expect(nameOf(person.site, 'spare')).toBe('Other');
  });
  it('forgets what was refused', () => {
    const history = new History();
    history.made('refused', [], 'Act');
    history.forget('refused');
    expect(history.undo).toEqual([]);
  });
});
