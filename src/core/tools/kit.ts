import { z } from 'zod';
import { lengthSchema } from '../length';

const length = lengthSchema({ over: 0 });

/** What else lies on the table besides the tool that scores. What is left out is not asked about. */
export const kitSchema = z.strictObject({
  trimmer: length.optional().describe('Longest cut the trimmer makes.'),
  ruler: length.optional().describe('Length of the longest ruler.'),
  punches: z.array(length).optional().describe('Diameters of the punches at hand.'),
  rounders: z.array(length).optional().describe('Radii of the corner rounders at hand.'),
});
export type Kit = z.output<typeof kitSchema>;
