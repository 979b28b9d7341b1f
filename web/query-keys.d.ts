import type { Rule } from 'eslint';

export declare const queryKeys: Rule.RuleModule;
