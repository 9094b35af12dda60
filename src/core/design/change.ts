import type { Design, DesignInput } from './design';
import { begunIn } from './metric';

/** Parts of a design document to lay over it; `options` are laid over one by one, undefined takes a value out, null all. */
export type DesignChange = Partial<Omit<DesignInput, 'options' | 'construction' | 'version'>> & {
  readonly construction?: string;
  readonly options?: Record<string, unknown> | null;
};

/**
 * Lays a change over a design: fields are replaced, options one by one, `undefined` takes a field out; options `null`
 * takes all of them out.
 */
export function changedDesign(design: DesignInput, { options, ...fields }: DesignChange): DesignInput {
  // What another holder is made of is another sheet.
  const other = fields.construction !== undefined && fields.construction !== design.construction;
  const merged = {
    ...design,
    ...(other && { rescued: undefined }),
    ...fields,
    options: options === null ? {} : { ...(design.options as Record<string, unknown> | undefined), ...options },
  };
  for (const part of [merged, merged.options] as Record<string, unknown>[])
    for (const key of Object.keys(part)) if (part[key] === undefined) delete part[key];
  // Another holder is begun here.
  return other ? begunIn(merged as DesignInput) : (merged as DesignInput);
}

/** The document that a design answers: everything it leaves open filled in, but for options that were not told. */
export const inputOf = ({
  construction,
  contents,
  holds,
  thickness,
  aim,
  least,
  blank,
  sheets,
  papers,
  turns,
  layers,
  rescued,
  usual,
  options,
  told,
  ...rest
}: Design): DesignInput => {
  const own = Object.fromEntries(Object.entries(options as object).filter(([name]) => told.includes(name)));
  const whole: unknown = {
    version: 1,
    construction: construction.name,
    ...rest,
    options: own,
    ...(Object.keys(papers).length > 0 && { papers }),
    ...(Object.keys(turns).length > 0 && { turns }),
    ...(layers.length > 0 && { layers }),
    ...(usual !== 'in' && { usual }),
    ease: aim,
    leastEase: least,
  };
  return changedDesign(whole as DesignInput, {
    contents: contents || thickness > 0 ? { ...(contents ?? { thickness }), ...(holds && { name: holds }) } : undefined,
    blank: blank ?? undefined,
    sheets: sheets ?? undefined,
    rescued: rescued ?? undefined,
  });
};
