/** What came with the app, told from what is the person's own. */
interface Kept {
  readonly id: string;
  readonly createdAt?: number;
  readonly updatedAt?: number;
}

/** True for what came with the app and was left as it came: what the person changed of it is theirs. */
export const isExample = ({ id, createdAt, updatedAt = 0 }: Kept): boolean =>
  id.startsWith('demo-') && (updatedAt === 0 || updatedAt === createdAt);
