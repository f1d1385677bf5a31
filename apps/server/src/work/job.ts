import type { Workbench } from './workbench';

/** Jobs by their names. Each file of jobs adds its own, so that whoever asks for one knows what it takes and answers. */
// biome-ignore lint/suspicious/noEmptyInterface: filled where jobs are
export interface Jobs {}

export type JobName = keyof Jobs & string;
type Job<N extends JobName> = Jobs[N] extends (bench: Workbench, args: infer A extends object) => infer R
  ? { args: A; result: Awaited<R> }
  : { args: object; result: never };
export type JobArguments<N extends JobName> = Job<N>['args'];
export type JobResult<N extends JobName> = Job<N>['result'];

/** The two threads: what somebody waits for must not stand behind what takes long. */
export type Lane = 'quick' | 'long';

/** Which thread does which job; given from where all jobs are known. */
export abstract class Lanes {
  abstract of(job: JobName): Lane;
}
