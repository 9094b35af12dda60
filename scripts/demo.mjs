/** Installs, builds and starts the app with its demo shelf: `npm run demo`, or `PORT=4000 npm run demo`. */
import { spawn } from 'node:child_process';
import { installPackages, run } from './install.mjs';

const port = process.env.PORT ?? '3000';
installPackages();
run('npm', ['run', '-s', 'build'], { sentence: 'The app could not be built' });

const server = spawn(process.execPath, ['scripts/serve.mjs', port], {
  stdio: ['inherit', 'ignore', 'inherit'],
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

const address = `http://localhost:${port}`;
const answers = () =>
  fetch(`${address}/api/ping`).then(
    (response) => response.ok,
    () => false,
  );
for (let tries = 0; tries < 100 && !(await answers()); tries++) await new Promise((wake) => setTimeout(wake, 200));
console.log(`\nTuck Fold is ready, with its demo shelf: ${address}\nStop it with Ctrl C.`);
