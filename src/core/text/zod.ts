/**
 * The library that documents are read with. It would compile its schemas where it may, and tries on every page whether it may:
 * no page of ours allows that, and what is read is small.
 */
// oxlint-disable-next-line no-restricted-imports -- here it is
import { z } from 'zod';

z.config({ jitless: true });

export { z };
