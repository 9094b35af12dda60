/** Lets a process of its own read the core's tests as they are, and ends it with the run it works for. */
import { register as registerCommonJs } from 'tsx/cjs/api';
import { register } from 'tsx/esm/api';

registerCommonJs();
register();
// What turns TypeScript into JavaScript would keep it waiting for more.
process.on('disconnect', () => process.exit());
