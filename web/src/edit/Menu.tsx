import { Dropdown, type MenuProps } from 'antd';
import { cloneElement, useId, useState, type AriaAttributes, type ReactElement } from 'react';

interface Props {
  items: MenuProps['items'];
  choose: (key: string) => void;
  /** The button that opens it. */
  children: ReactElement<AriaAttributes & { id?: string }>;
}

/** A menu of a button: opened by it, gone through by the arrows, left by Escape back to the button. */
export function Menu({ items, choose, children }: Props) {
  const id = useId();
  const [open, setOpen] = useState(false);
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      open={open}
      onOpenChange={(to) => {
        setOpen(to);
        if (!to) document.getElementById(id)?.focus();
      }}
      menu={{ items, style: { maxHeight: '60vh', overflow: 'auto' }, onClick: ({ key }) => choose(key) }}
    >
      {cloneElement(children, { id, 'aria-haspopup': 'menu', 'aria-expanded': open })}
    </Dropdown>
  );
}
