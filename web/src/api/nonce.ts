/** The page's nonce, which the Content-Security-Policy asks of every style element. */
export const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
