import ts from 'typescript';

const OPERATORS = new Set(['+', '-', '*', '/', '**', '+=', '-=', '*=', '/=']);
const MAYBE = ts.TypeFlags.Undefined | ts.TypeFlags.Null;

const isNumber = (type) =>
  type.isUnion()
    ? type.types.every((one) => (one.flags & (ts.TypeFlags.NumberLike | MAYBE)) !== 0)
    : (type.flags & ts.TypeFlags.NumberLike) !== 0;

/** Another unit: percent, minutes of hours, millimetres. */
const isUnit = (node) => node.type === 'Literal' && typeof node.value === 'number';

/** Which of two comes first in a list. */
const isOrder = (node) => {
  const call = node.parent?.type === 'ArrowFunctionExpression' ? node.parent.parent : undefined;
  return call?.callee?.type === 'MemberExpression' && call.callee.property.name === 'sort';
};

/** What is computed of a season comes with the answer: screens make no sums of what the API sends. */
export const seasonArithmetic = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { core: 'Arithmetic on a value of the API belongs in the core: let the answer say it.' },
  },
  create(context) {
    const { program, esTreeNodeToTSNodeMap: nodes } = context.sourceCode.parserServices;
    const types = program.getTypeChecker();
    const isOfApi = (symbol) =>
      symbol?.declarations?.some((one) => one.getSourceFile().fileName.endsWith('schema.generated.d.ts')) ?? false;
    const isValue = (node) => {
      if (node.type === 'LogicalExpression' && node.operator === '??') return isValue(node.left);
      if (node.type === 'MemberExpression' && !node.computed) return isOfApi(types.getSymbolAtLocation(nodes.get(node.property)));
      if (node.type !== 'Identifier') return false;
      const from = types.getSymbolAtLocation(nodes.get(node))?.declarations?.[0];
      if (!from || !ts.isBindingElement(from) || !ts.isObjectBindingPattern(from.parent)) return false;
      const key = (from.propertyName ?? from.name).getText();
      return isOfApi(types.getTypeAtLocation(from.parent).getProperty(key));
    };
    const check = (node) => {
      const { left, right } = node;
      if (!OPERATORS.has(node.operator) || isUnit(left) || isUnit(right) || isOrder(node)) return;
      if (![left, right].every((side) => isNumber(types.getTypeAtLocation(nodes.get(side))))) return;
      if (isValue(left) || isValue(right)) context.report({ node, messageId: 'core' });
    };
    return { BinaryExpression: check, AssignmentExpression: check };
  },
};
