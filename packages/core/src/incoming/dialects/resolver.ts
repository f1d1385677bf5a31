import { LIMITS } from '../../limits/index.ts';
import { contextName, inContext } from '../contexts.ts';
import type { Draft, DraftScheme, Drafts, Noticed, SourcePlace } from '../draft.ts';
import { BadToken, isNode, mergeGroups, type Node, nodeAt, type Steps, stepsOf } from '../tree.ts';
import { jsonDrafts } from './json.ts';

/** A file that a resolver document may name. */
export interface ResolverSource {
  name: string;
  text: string;
  root: Node;
  placeOf(it: object): SourcePlace | null;
}

/** Whether a file is a document of the Resolver Module 2025.10 (section 4). */
export const isResolver = (root: Node): boolean =>
  Array.isArray(root.resolutionOrder) &&
  (isNode(root.sets) || isNode(root.modifiers) || root.version !== undefined);

/** Steps of a path with `.` and `..` worked out, below the folder of the document. */
function pathFrom(document: string, path: string): string {
  const steps = document.split('/').slice(0, -1);
  for (const part of path.split('/'))
    if (part === '..') steps.pop();
    else if (part !== '.' && part !== '') steps.push(part);
  return steps.join('/');
}

interface Modifier {
  name: string;
  contexts: readonly (readonly [string, readonly Node[]])[];
  usual: string;
}

/** Reads one resolver document together with the files it names. */
class ResolverReader {
  readonly findings: Noticed[] = [];
  readonly named = new Set<string>();
  private readonly modifiers: Modifier[] = [];
  private readonly base: Node[] = [];

  constructor(
    private readonly document: ResolverSource,
    private readonly others: readonly ResolverSource[],
    private readonly steps: Steps,
  ) {
    const order: readonly unknown[] = Array.isArray(document.root.resolutionOrder)
      ? document.root.resolutionOrder
      : [];
    for (const entry of order) this.enter(entry);
  }

  private tell(name: string, message: string, at: object, fix?: string): void {
    this.findings.push({
      kind: 'unread',
      name,
      message,
      place: this.document.placeOf(at) ?? { file: this.document.name, line: 1, column: 1 },
      ...(fix !== undefined && { fix }),
    });
  }

  /** One entry of the order: a set or a modifier, by reference or where it stands (section 4.1.5). */
  private enter(entry: unknown): void {
    if (!isNode(entry)) return;
    const steps = typeof entry.$ref === 'string' ? stepsOf(entry.$ref) : null;
    const found = steps ? nodeAt(this.document.root, steps) : entry;
    const name = steps?.at(-1) ?? (typeof entry.name === 'string' ? entry.name : 'set');
    if (!isNode(found)) {
      this.tell(String(entry.$ref), `There is nothing at ${String(entry.$ref)}.`, entry);
      return;
    }
    if (Array.isArray(found.sources)) {
      this.base.push(...this.sourcesOf(found.sources, 0));
      return;
    }
    if (!isNode(found.contexts)) {
      this.tell(
        name,
        `${name} has neither sources nor contexts.`,
        found,
        '"sources": [{"$ref": "colors.json"}]',
      );
      return;
    }
    const contexts = Object.entries(found.contexts).map(
      ([context, sources]) => [context, this.sourcesOf(Array.isArray(sources) ? sources : [], 0)] as const,
    );
    const said = typeof found.default === 'string' ? found.default : null;
    const usual = contexts.find(([context]) => context === said) ?? contexts[0];
    if (!usual) return;
    this.modifiers.push({ name, contexts, usual: usual[0] });
    this.base.push(...usual[1]);
  }

  /** Token trees of a list of sources: files, other sets, or trees where they stand. */
  private sourcesOf(list: readonly unknown[], depth: number): Node[] {
    if (depth > LIMITS.following) throw new BadToken([], 'These sets refer to one another in a circle.');
    return list.flatMap((it): Node[] => {
      this.steps.pass(1, []);
      if (!isNode(it)) return [];
      if (typeof it.$ref !== 'string') return [it];
      const [path = '', pointer = ''] = it.$ref.split('#');
      const source = path === '' ? this.document : this.fileAt(path);
      if (!source) {
        this.tell(
          it.$ref,
          `There is no file ${path} among those opened.`,
          it,
          'Open the folder that holds it',
        );
        return [];
      }
      const steps = stepsOf(`#${pointer}`);
      const found = pointer === '' ? source.root : steps && nodeAt(source.root, steps);
      if (!isNode(found)) {
        this.tell(it.$ref, `There is nothing at ${it.$ref}.`, it);
        return [];
      }
      return Array.isArray(found.sources) ? this.sourcesOf(found.sources, depth + 1) : [found];
    });
  }

  private fileAt(path: string): ResolverSource | undefined {
    const wanted = pathFrom(this.document.name, path);
    const last = wanted.split('/').at(-1) ?? wanted;
    const found =
      this.others.find(it => it.name === wanted) ??
      // Files that were chosen one by one come without their folders.
      this.others.find(it => it.name.split('/').at(-1) === last);
    if (found) this.named.add(found.name);
    return found;
  }

  private merged(trees: readonly Node[]): Node {
    return trees.reduce((below, above) => mergeGroups(below, above, [], this.steps), {});
  }

  private draftsIn(trees: readonly Node[]): Drafts {
    const all = [this.document, ...this.others];
    const placeOf = (it: object): SourcePlace | null => {
      for (const source of all) {
        const place = source.placeOf(it);
        if (place) return place;
      }
      return null;
    };
    return jsonDrafts(all.map(it => it.text).join('\n'), this.merged(trees), placeOf, this.steps);
  }

  drafts(): Drafts {
    const base = this.draftsIn(this.base);
    const usual = new Map(base.drafts.map(it => [it.name, it]));
    const schemes: DraftScheme[] = [];
    const drafts: Draft[] = base.drafts.filter(it => !isRole(it));
    for (const { name, contexts, usual: itsUsual } of this.modifiers) {
      const read = contexts.map(([context, trees]) => [context, this.draftsIn(trees)] as const);
      const binds = read.some(([, it]) => it.drafts.some(isRole));
      for (const [context, its] of read) {
        const roles = new Map(
          its.drafts.filter(isRole).flatMap(it => {
            const target = typeof it.value === 'string' ? /^\{([^{}]+)\}$/.exec(it.value)?.[1] : undefined;
            return target === undefined ? [] : [[it.key, target] as const];
          }),
        );
        if (context === itsUsual && !binds) continue;
        const title = contextName(context) || context;
        const others = its.drafts.filter(
          it =>
            !isRole(it) && (context !== itsUsual || !usual.has(it.name)) && differs(it, usual.get(it.name)),
        );
        // Two modifiers may have contexts of one name: their tokens are told apart.
        const isTaken = schemes.some(it => it.name === title);
        const made = inContext(
          others,
          isTaken ? `${contextName(name)} ${title.toLowerCase()}` : title,
          roles,
        );
        drafts.push(...made.drafts);
        schemes.push(made.scheme);
      }
    }
    return {
      ...base,
      dialect: 'Resolver document (2025.10)',
      drafts,
      schemes,
      findings: [...this.findings, ...base.findings],
    };
  }
}

/** Our own documents say in groups of this name what each role takes. */
const isRole = ({ group }: Draft): boolean => group.length === 1 && group[0] === 'role';

/** A context repeats much of what holds anyway. */
const differs = (it: Draft, usual: Draft | undefined): boolean =>
  usual === undefined || JSON.stringify(it.value) !== JSON.stringify(usual.value);

/** What a resolver document comes to, and the names of the files that it has made use of. */
export function resolverDrafts(
  document: ResolverSource,
  others: readonly ResolverSource[],
  steps: Steps,
): { drafts: Drafts; named: ReadonlySet<string> } {
  const reader = new ResolverReader(document, others, steps);
  return { drafts: reader.drafts(), named: reader.named };
}
