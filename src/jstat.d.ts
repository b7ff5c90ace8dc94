declare module "jstat" {
  const jStat: {
    gamma: {
      inv(p: number, shape: number, scale: number): number;
      cdf(x: number, shape: number, scale: number): number;
    };
    chisquare: { inv(p: number, dof: number): number };
    normal: { inv(p: number, mean: number, sd: number): number; cdf(x: number, mean: number, sd: number): number };
    /** Ordinary least squares: rows of regressors against what they explain. */
    models: { ols(endog: number[], exog: number[][]): { coef: number[] } };
  };
  export default jStat;
}
