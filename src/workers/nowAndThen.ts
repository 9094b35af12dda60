/** Tells of what comes often no oftener than every `ms`, the first time after `first` of them. */
export function nowAndThen<T>(tell: (news: T) => void, ms: number, first = 0): (news: T) => void {
  let last = performance.now() - ms + first;
  return (news) => {
    if (performance.now() - last < ms) return;
    last = performance.now();
    tell(news);
  };
}
