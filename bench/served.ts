import { spawn } from 'node:child_process';

/** Serves the built app while something is measured. */
export async function served(port: number): Promise<{ readonly base: string; readonly end: () => void }> {
  const server = spawn(process.execPath, ['scripts/serve.mjs', String(port)], {
    stdio: 'ignore',
    env: { ...process.env, NODE_ENV: 'production' },
  });
  const base = `http://localhost:${port}`;
  const answers = (): Promise<boolean> =>
    fetch(`${base}/api/ping`).then(
      ({ ok }) => ok,
      () => false,
    );
  for (let tries = 0; !(await answers()); tries++) {
    if (tries === 100) throw new Error(`nothing answers at ${base}: is the app built?`);
    await new Promise((wake) => setTimeout(wake, 200));
  }
  return { base, end: () => void server.kill() };
}
