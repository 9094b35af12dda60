import { Button, Dropdown, type ButtonProps, type MenuProps } from 'antd';
import { useRef } from 'react';

interface MenuButtonProps extends ButtonProps {
  readonly items: NonNullable<MenuProps['items']>;
  /** Hears the key of the item that was chosen. */
  readonly onPick: (key: string) => void;
}

/** A button that opens a menu; once something of it is chosen the keyboard is back on the button. */
export function MenuButton({ items, onPick, ...button }: MenuButtonProps) {
  const own = useRef<HTMLButtonElement>(null);
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      menu={{
        items,
        onClick: ({ key }) => {
          onPick(key);
          // Later, or the Enter that chose the item would press the button again.
          setTimeout(() => own.current?.focus());
        },
      }}
    >
      <Button {...button} ref={own} />
    </Dropdown>
  );
}
