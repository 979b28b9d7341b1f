import { Dropdown, type MenuProps } from 'antd';
import { cloneElement, useState, type AriaAttributes, type ReactElement } from 'react';

interface Props {
  items: MenuProps['items'];
  choose: (key: string) => void;
  /** The button that opens it. */
  children: ReactElement<AriaAttributes>;
}

/** A menu of a button: opened by it, gone through by the arrows, left by Escape back to the button. */
export function Menu({ items, choose, children }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      open={open}
      onOpenChange={setOpen}
      menu={{ items, style: { maxHeight: '60vh', overflow: 'auto' }, onClick: ({ key }) => choose(key) }}
    >
      {cloneElement(children, { 'aria-haspopup': 'menu', 'aria-expanded': open })}
    </Dropdown>
  );
}
