/** What holds paper to paper. */
export const ADHESIVES = ['wet-glue', 'tape', 'tape-runner', 'hot-glue', 'hook-dot'] as const;
export type Adhesive = (typeof ADHESIVES)[number];

/** What holds the finished thing shut. */
export const CLOSURES = ['none', 'cord', 'bow', 'laced', 'buttons', 'ribbon', 'dot', 'tuck', 'band'] as const;
export type Closure = (typeof CLOSURES)[number];

/** Small things that go with a holder, their size following from it. */
export const COMPANIONS = ['insert-card', 'mat', 'tag', 'note', 'sweet-wrap', 'hole-template', 'clip-cover'] as const;
export type CompanionName = (typeof COMPANIONS)[number];

/** What is done to a sheet while it is flat, for looks. */
export const DECORATIONS = ['ink', 'emboss'] as const;
export type Decoration = (typeof DECORATIONS)[number];
