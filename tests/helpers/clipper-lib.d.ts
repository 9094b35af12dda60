declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  interface Clipper {
    AddPaths(paths: IntPoint[][], type: number, closed: boolean): boolean;
    Execute(operation: number, solution: IntPoint[][], subjectFill: number, clipFill: number): boolean;
  }
  const ClipperLib: {
    Clipper: new () => Clipper;
    ClipType: { ctIntersection: number; ctUnion: number; ctDifference: number; ctXor: number };
    PolyType: { ptSubject: number; ptClip: number };
    PolyFillType: { pftEvenOdd: number; pftNonZero: number };
  };
  export default ClipperLib;
}
