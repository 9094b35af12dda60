import { z } from '../text/zod';
import { cutListSchema, layoutSchema } from '../cutting';
import { handsSchema } from '../hands';
import { designSchema } from '../design';
import { planSchema } from '../document';
import { rescueSchema } from '../rescue';
import { setPlanSchema, setSchema } from '../sets';
import { projectSchema } from './project';

/** The JSON Schema of every document, generated from the schemas that read and write them (JSON Schema 2020-12). */
export function jsonSchema(): object {
  const of = (schema: z.ZodType, io: 'input' | 'output'): object => {
    const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
    return rest;
  };
  const project = of(projectSchema, 'input') as { properties: Record<string, object> };
  // A project keeps its set as the person wrote it, so its schema is the set’s own.
  project.properties.set = { $ref: '#/$defs/set' };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Tuck Fold documents',
    $defs: {
      design: of(designSchema, 'input'),
      plan: of(planSchema, 'output'),
      set: of(setSchema, 'input'),
      setPlan: of(setPlanSchema, 'output'),
      project,
      cutList: of(cutListSchema, 'input'),
      layout: of(layoutSchema, 'output'),
      hands: of(handsSchema, 'input'),
      rescue: of(rescueSchema, 'input'),
    },
    anyOf: ['design', 'plan', 'set', 'setPlan', 'project', 'cutList', 'layout', 'hands', 'rescue'].map((name) => ({
      $ref: `#/$defs/${name}`,
    })),
  };
}
