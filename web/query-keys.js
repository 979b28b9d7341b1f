/** Calls whose arguments are a question: where its key stands, and where what asks it. */
const CALLS = { asking: [0, 1], useOfRevision: [0, 2] };

/** What a question is asked by, and not about. */
const MEANS = new Set(['queries', 'QueryClient']);

const keyOf = (node, name) => node.properties.find((one) => one.type === 'Property' && one.key.name === name)?.value;

/** Names of values that an expression uses: not those of keys and properties. */
function valuesIn(node, names = new Set()) {
  if (node === null || typeof node !== 'object') return names;
  if (Array.isArray(node)) node.forEach((one) => valuesIn(one, names));
  else if (node.type === 'Identifier') names.add(node.name);
  else {
    const isNamed = (key) =>
      (key === 'key' && node.type === 'Property') || (key === 'property' && node.type === 'MemberExpression');
    for (const [key, value] of Object.entries(node))
      if (key !== 'parent' && (node.computed || !isNamed(key))) valuesIn(value, names);
  }
  return names;
}

/** An answer is cached under its question's key: what the request depends on has to stand in it, or another's answer is shown. */
export const queryKeys = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      missing: 'The request depends on "{{name}}", and its key does not name it: the answer to another question would be shown.',
    },
  },
  create(context) {
    const { sourceCode } = context;
    const check = (key, ask) => {
      if (!key || !/Function/.test(ask?.type ?? '')) return;
      const named = valuesIn(key);
      for (const { identifier, resolved } of sourceCode.getScope(ask.body).through) outer(ask, identifier, resolved, named);
    };
    const variable = (scope, name) => scope && (scope.set.get(name) ?? variable(scope.upper, name));
    const outer = (ask, identifier, found, named) => {
      const isOfModule = !found || ['module', 'global'].includes(found.scope.type);
      if (isOfModule || named.has(found.name) || MEANS.has(found.name)) return;
      // What is made of other values depends on these.
      const made = found.defs[0]?.node.type === 'VariableDeclarator' ? valuesIn(found.defs[0].node.init) : null;
      if (made === null || made.size === 0)
        context.report({ node: identifier, messageId: 'missing', data: { name: found.name } });
      else for (const name of made) outer(ask, identifier, variable(found.scope, name), named);
    };
    return {
      CallExpression(node) {
        const at = CALLS[node.callee.name];
        if (at) check(node.arguments[at[0]], node.arguments[at[1]]);
      },
      ObjectExpression(node) {
        check(keyOf(node, 'queryKey'), keyOf(node, 'queryFn'));
      },
    };
  },
};
