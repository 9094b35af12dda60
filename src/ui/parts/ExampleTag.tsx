import styles from './ExampleTag.module.css';

/** Marks what came with the app: it is never counted among the person's own. */
export const ExampleTag = () => <em className={styles.example}>Example</em>;
