declare module "jstat" {
  const jStat: {
    gamma: { inv(p: number, shape: number, scale: number): number; cdf(x: number, shape: number, scale: number): number };
    chisquare: { inv(p: number, dof: number): number };
  };
  export default jStat;
}
