declare const OF: unique symbol;
/** A text that names one kind of thing. Any text can be given as one; one kind is not taken for another. */
type Id<Kind extends string> = string & { readonly [OF]?: Kind };

/** Names a panel, apart across all pieces of a thing. */
export type PanelId = Id<'panel'>;
/** What a maker calls a panel: `left flap`. */
export type PanelName = Id<'panel name'>;
/** Names a score: the line between two panels. */
export type ScoreId = Id<'score'>;
/** Names a step of an assembly. */
export type StepId = Id<'step'>;
