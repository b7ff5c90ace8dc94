/** Lower triangle L with L L' = A, for a symmetric, positive definite A. */
export function cholesky(a: readonly (readonly number[])[]): number[][] {
  const l = a.map(() => new Array<number>(a.length).fill(0));
  for (let i = 0; i < a.length; i++)
    for (let j = 0; j <= i; j++) {
      let sum = a[i]![j]!;
      for (let k = 0; k < j; k++) sum -= l[i]![k]! * l[j]![k]!;
      l[i]![j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / l[j]![j]!;
    }
  return l;
}

/** x of L x = b. */
export function forward(l: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x: number[] = [];
  for (let i = 0; i < b.length; i++) {
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= l[i]![k]! * x[k]!;
    x.push(sum / l[i]![i]!);
  }
  return x;
}

/** x of A x = b, for a symmetric, positive definite A. */
export function solvePositive(a: readonly (readonly number[])[], b: readonly number[]): number[] {
  const l = cholesky(a);
  const x = forward(l, b);
  for (let i = x.length - 1; i >= 0; i--) {
    for (let j = i + 1; j < x.length; j++) x[i]! -= l[j]![i]! * x[j]!;
    x[i]! /= l[i]![i]!;
  }
  return x;
}
