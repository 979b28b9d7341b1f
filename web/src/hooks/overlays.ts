/**
 * Where drawers and dialogs are put: a container of ours, not the body. (Over the body the component library locks scrolling with
 * a style element that carries no nonce, which the page's policy rightly refuses.)
 */
export const overlays = (): HTMLElement => document.getElementById('overlays') ?? document.body;
