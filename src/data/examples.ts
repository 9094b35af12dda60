/** What came with the app, told from what is the person's own. */
interface Kept {
  readonly id: string;
  readonly createdAt?: number;
  readonly updatedAt?: number;
}

/** True for what came with the app, whatever became of it since. */
export const cameWithApp = ({ id }: Pick<Kept, 'id'>): boolean => id.startsWith('demo-');

/** True for what came with the app and was left as it came: what the person changed of it is theirs. */
export const isExample = ({ createdAt, updatedAt = 0, ...kept }: Kept): boolean =>
  cameWithApp(kept) && (updatedAt === 0 || updatedAt === createdAt);
