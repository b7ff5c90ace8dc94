const { cbrt } = Math;

/** h^(-1/3) by Newton's method from a near value, y <- y (4 - h y^3) / 3: depths change little from step to step, so two turns do. */
export function inverseCubeRoot(value: number, near: number): number {
  let y = near;
  for (let turn = 0; turn < 6; turn++) {
    const change = (1 - value * y * y * y) / 3;
    if (!(change > -0.5 && change < 0.5)) break;
    y += y * change;
    if (change < 1e-6 && change > -1e-6) return y;
  }
  return 1 / cbrt(value);
}
