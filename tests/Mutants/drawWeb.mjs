// Wrong turns of the front end, drawn from the lines that its tests reach (bin/coverage): node tests/Mutants/drawWeb.mjs N SEED prints them
// as JSON: words, file, at, length, with.
import { readFileSync, readdirSync } from 'node:fs';
import ts from 'typescript';

const [count, seed] = process.argv.slice(2).map(Number);
const reached = JSON.parse(readFileSync('var/coverage/web/coverage-final.json', 'utf8'));

/** The same numbers for the same seed (mulberry32). */
let state = seed >>> 0;
const draw = (below) => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) % below;
};

const BINARY = {
    boundary: { '<': '<=', '<=': '<', '>': '>=', '>=': '>' },
    comparison: { '===': '!==', '!==': '===', '&&': '||', '||': '&&' },
    sign: { '+': '-', '-': '+', '*': '/', '/': '*' },
};

function linesReached(file) {
    const coverage = Object.entries(reached).find(([name]) => name.endsWith(`/${file}`))?.[1];
    const lines = new Set();
    for (const [id, { start, end }] of Object.entries(coverage?.statementMap ?? {}))
        if (coverage.s[id] > 0) for (let line = start.line; line <= end.line; line++) lines.add(line);
    return lines;
}

function places(file) {
    const text = readFileSync(file, 'utf8');
    const source = ts.createSourceFile(
        file,
        text,
        ts.ScriptTarget.Latest,
        true,
        file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
    );
    const lines = linesReached(file);
    const found = [];
    const put = (operator, node, start, end, by) => {
        const line = source.getLineAndCharacterOfPosition(start).line + 1;
        if (!lines.has(line)) return;
        const at = Buffer.byteLength(text.slice(0, start));
        const words = `${operator}, ${file}:${line}: ${text.split('\n')[line - 1].trim().slice(0, 90)}`;
        found.push({ operator, words, file, line, at, length: Buffer.byteLength(text.slice(start, end)), with: by });
    };
    const visit = (node) => {
        if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
        if (ts.isBinaryExpression(node)) {
            const sign = node.operatorToken;
            for (const [operator, swaps] of Object.entries(BINARY))
                if (swaps[sign.getText()]) put(operator, node, sign.getStart(), sign.end, swaps[sign.getText()]);
        }
        if (ts.isConditionalExpression(node))
            put('other side', node, node.condition.getStart(), node.condition.end, `!(${node.condition.getText()})`);
        if (ts.isIfStatement(node))
            put('lost condition', node, node.expression.getStart(), node.expression.getStart(), 'false && ');
        if (ts.isNumericLiteral(node)) put('constant', node, node.getStart(), node.end, `(${node.getText()} + 1)`);
        if (node.kind === ts.SyntaxKind.TrueKeyword) put('default', node, node.getStart(), node.end, 'false');
        if (node.kind === ts.SyntaxKind.FalseKeyword) put('default', node, node.getStart(), node.end, 'true');
        if (
            ts.isStringLiteral(node) &&
            (ts.isArrayLiteralExpression(node.parent) ||
                (ts.isBinaryExpression(node.parent) && !ts.isJsxAttribute(node.parent.parent)))
        )
            put('other key', node, node.getStart(), node.end, `'other ${node.text.replaceAll("'", '')}'`);
        if (ts.isCallExpression(node) && node.arguments.length >= 2 && node.arguments.slice(0, 2).every(ts.isIdentifier)) {
            const [a, b] = node.arguments;
            if (a.text !== b.text) put('argument', node, a.getStart(), b.end, `${b.text}, ${a.text}`);
        }
        ts.forEachChild(node, visit);
    };
    visit(source);
    return found;
}

const files = readdirSync('web/src', { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.|generated|\.d\.ts|^worker/.test(name))
    .sort();
const byOperator =
    Map.groupBy?.(
        files.flatMap((name) => places(`web/src/${name}`)),
        ({ operator }) => operator,
    ) ??
    files
        .flatMap((name) => places(`web/src/${name}`))
        .reduce((map, one) => map.set(one.operator, [...(map.get(one.operator) ?? []), one]), new Map());
const drawn = [];
while (drawn.length < count && byOperator.size > 0)
    for (const operator of [...byOperator.keys()].sort()) {
        const all = byOperator.get(operator);
        drawn.push(...all.splice(draw(all.length), 1));
        if (all.length === 0) byOperator.delete(operator);
    }
console.log(JSON.stringify(drawn.slice(0, count)));
