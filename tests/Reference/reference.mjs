// Reads [[function, ...arguments], …] on standard input and prints what @stdlib and jStat say of each.
import binomial from '@stdlib/stats-base-dists-binomial';
import normal from '@stdlib/stats-base-dists-normal';
import jstat from 'jstat';

const functions = {
  binomialCdf: binomial.cdf, binomialPmf: binomial.pmf, binomialQuantile: binomial.quantile,
  normalCdf: normal.cdf, normalQuantile: normal.quantile,
  betaCdf: jstat.beta.cdf, betaInv: jstat.beta.inv, jstatNormalInv: jstat.normal.inv,
};
let text = '';
for await (const chunk of process.stdin) text += chunk;
console.log(JSON.stringify(JSON.parse(text).map(([name, ...args]) => functions[name](...args))));
