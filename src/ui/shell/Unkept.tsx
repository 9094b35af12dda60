import { Alert, Button } from 'antd';
import { Link } from '../parts/Link';
import { useKeepingTrouble } from '../parts/useKept';

/** Says, on every screen, when the last changes are not kept, and what can be done. */
export function Unkept() {
  const trouble = useKeepingTrouble();
  if (!trouble) return null;
  const lost = trouble.kind === 'gone';
  return (
    <Alert
      type={lost ? 'warning' : 'error'}
      banner
      showIcon
      title={
        lost
          ? `What you changed last was not kept: ${trouble.message}.`
          : `Your last changes are not kept yet: ${trouble.message}. They are tried again by themselves.`
      }
      action={
        <Link href="/backup">
          <Button size="small">Backup</Button>
        </Link>
      }
    />
  );
}
