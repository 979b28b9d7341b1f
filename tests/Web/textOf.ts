/** Elements that begin a line of their own. */
const BLOCKS =
  /^(ADDRESS|ARTICLE|ASIDE|BUTTON|CAPTION|DD|DIV|DL|DT|FIELDSET|FORM|H[1-6]|HEADER|LI|MAIN|NAV|OL|P|SECTION|SUMMARY|TABLE|TBODY|TD|TH|THEAD|TR|UL|svg)$/;

/** What a person reads on a screen, line by line: words, and what stands in fields with their labels. */
export function textOf(root: Element): string {
  const lines: string[] = [''];
  const say = (text: string) => (lines[lines.length - 1] += text);
  const turn = () => lines[lines.length - 1]?.trim() !== '' && lines.push('');
  const walk = (node: Node) => {
    if (node.nodeType === Node.TEXT_NODE) say(node.textContent ?? '');
    if (!(node instanceof Element) || node.tagName === 'STYLE') return;
    const isBlock = BLOCKS.test(node.tagName);
    if (isBlock) turn();
    const field = fieldWords(node);
    if (field !== null) say(field);
    else node.childNodes.forEach(walk);
    if (isBlock) turn();
  };
  walk(root);
  return lines
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter((line) => line !== '')
    .join('\n');
}

function fieldWords(node: Element): string | null {
  const label = node.getAttribute('aria-label');
  const named = (value: string) => `[${label === null ? '' : `${label}: `}${value}]`;
  if (node instanceof HTMLInputElement)
    return named(/^(checkbox|radio)$/.test(node.type) ? (node.checked ? 'x' : ' ') : node.value);
  if (node instanceof HTMLSelectElement) return named(`${node.selectedOptions[0]?.text ?? ''} of ${node.options.length}`);
  if (node instanceof HTMLTextAreaElement) return named(node.value);
  // A picture says what it shows; its axes and bars stand in the answers it is drawn from.
  if (node.tagName === 'svg') return label === null ? '' : `[picture: ${label}]`;
  return null;
}
