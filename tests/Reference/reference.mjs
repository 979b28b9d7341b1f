// Reads [[function, ...arguments], …] on standard input and prints what @stdlib, jStat and financial say of each.
import binomial from '@stdlib/stats-base-dists-binomial';
import normal from '@stdlib/stats-base-dists-normal';
import { npv } from 'financial';
import jstat from 'jstat';

const functions = {
    binomialCdf: binomial.cdf,
    binomialPmf: binomial.pmf,
    binomialQuantile: binomial.quantile,
    normalCdf: normal.cdf,
    normalQuantile: normal.quantile,
    betaCdf: jstat.beta.cdf,
    betaInv: jstat.beta.inv,
    jstatNormalInv: jstat.normal.inv,
    npv,
};
let text = '';
for await (const chunk of process.stdin) text += chunk;
console.log(JSON.stringify(JSON.parse(text).map(([name, ...args]) => functions[name](...args))));
