/** Plane geometry: a 10 mm square is `[{ x: 0, y: 0 }, { x: 10, y: 0 }, { x: 10, y: 10 }, { x: 0, y: 10 }]`. */
export * from './point';
export * from './affine';
export * from './polygon';
export * from './clip';
export * from './region';
export * from './inscribed';
export * from './space';
export * from './tolerance';
