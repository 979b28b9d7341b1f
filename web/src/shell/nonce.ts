/** The page's nonce, which the Content-Security-Policy asks of every style element. */
export const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;

/** Gives the nonce to style elements made without one: the component library forgets it in its scroll lock. */
export function carryNonce(): void {
  const create = document.createElement.bind(document);
  document.createElement = (tag: string, options?: ElementCreationOptions) => {
    const element = create(tag, options);
    if (nonce && element instanceof HTMLStyleElement) element.nonce = nonce;
    return element;
  };
}
