/** A size that was read at a piece, as it stood at last. */
export interface MeasuredSize {
  readonly piece: number;
  readonly sizeMm: number;
  readonly at: string;
}
/** A diameter or a thread of a job that another one may have to fit; a thread by its pitch diameter. */
export interface MateFeature {
  readonly featureId: string;
  readonly label: string;
  readonly inside: boolean;
  readonly thread: boolean;
  /** latest first; only where it is awaited */
  readonly measured: readonly MeasuredSize[];
}
/** A job whose pieces another one may go together with. */
export interface MateJob {
  readonly jobId: string;
  readonly title: string;
  readonly unit: 'mm' | 'in';
  readonly features: readonly MateFeature[];
}
/** A feature of another job that follows one of this job. */
export interface Follower {
  readonly jobId: string;
  readonly title: string;
  /** of its feature */
  readonly label: string;
  /** ours that it goes with */
  readonly featureId: string;
}
/** What a job's page is told of the pieces that go together with its own. */
export interface Mates {
  readonly jobs: readonly MateJob[];
  readonly followers: readonly Follower[];
}
