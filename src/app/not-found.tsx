import { NotHere } from '@/ui/parts/NotHere';

/** An address at which nothing stands. */
export default function NotFound() {
  return (
    <NotHere
      title="There is nothing at this address"
      why="It may have been typed by hand, or come from another version."
      to={{ href: '/', label: 'To the shelf' }}
    />
  );
}
