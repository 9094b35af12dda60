import { Alert, Button } from 'antd';
import { dropDamaged } from '@/data/aside';
import type { Damaged } from '@/data/keep';
import { recordName } from '@/data/records';
import { download, fileName } from './download';
import { useTell } from './useTell';
import styles from './Boundary.module.css';

/** Records that cannot be read: named, to be saved as they are or taken out; everything else goes on without them. */
export function SetAside({ damaged }: { readonly damaged: readonly Damaged[] }) {
  const { failed } = useTell();
  if (damaged.length === 0) return null;
  return (
    <section aria-label="Set aside">
      {damaged.map((one) => {
        const name = recordName(one.table, one.raw);
        return (
          <Alert
            key={`${one.table}/${one.id}`}
            type="warning"
            showIcon
            title={`Set aside: ${name}. It cannot be read here.`}
            description={
              <>
                <p>{one.why}</p>
                <span className={styles.buttons}>
                  <Button
                    onClick={() =>
                      download(
                        fileName(`set aside ${name}`, 'json'),
                        'application/json',
                        JSON.stringify(one.raw, null, 2),
                      )
                    }
                  >
                    Save it as a file
                  </Button>
                  <Button onClick={() => void dropDamaged(one).catch(failed('It could not be taken out'))}>
                    Take it out of the way
                  </Button>
                </span>
              </>
            }
          />
        );
      })}
    </section>
  );
}
