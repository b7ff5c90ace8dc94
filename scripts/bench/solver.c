/*
 * The scheme of src/core/flow/{solver,sweeps,faces,boundaries}.ts once more in C, one thread, for the bench alone: how far is the
 * TypeScript from what a compiler makes of the same arithmetic? Reads a state, runs steps, prints nanoseconds and writes the depths back.
 * File: int32 nx, ny, steps, pad; double cell, discharge, level, alpha, courant; then z, n, h, u, v with two rings of ghosts, row-major.
 */
#define _POSIX_C_SOURCE 199309L
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define RINGS 2
#define FILM 1e-5
static const double g = 9.81;

static int nx, ny, stride;
static double cell, discharge, level, alpha, courant, fastest;
static double *z, *n, *h, *hu, *hv, *u, *v, *h0, *hu0, *hv0, *rh, *ru, *rv, *nuh, *root, *inlet;
static double *hL, *zL, *nL, *tL, *hR, *zR, *nR, *tR;
static int *low, *high;

static int imin(int a, int b) { return a < b ? a : b; }
static int imax(int a, int b) { return a > b ? a : b; }
static double slope(double a, double b) { double p = a * b; return p > 0 ? 2 * p / (a + b) : 0; }
static int spanLow(int j) { int r = j + RINGS; return imax(RINGS, imin(low[r - 1], imin(low[r], low[r + 1])) - 1); }
static int spanHigh(int j) { int r = j + RINGS; return imin(RINGS + nx - 1, imax(high[r - 1], imax(high[r], high[r + 1])) + 1); }

static double inverseCubeRoot(double value, double near) {
  double e = 1 - value * near * near * near;
  return e < 1e-3 && e > -1e-3 ? near * (1 + e * (1.0 / 3 + e * (2.0 / 9 + e * 14 / 81))) : 1 / cbrt(value);
}

static void crossFaces(const double *across, const double *alongU, double *rAcross, double *rAlong, int row, int step, int from, int to, int stressFrom, int stressTo) {
  const double rootG = sqrt(g), inverse = 1 / cell;
  for (int f = from; f <= to; f++) {
    double h1 = hL[f], h2 = hR[f], z1 = zL[f], z2 = zR[f], bed = z1 > z2 ? z1 : z2;
    double a = h1 + z1 - bed, b = h2 + z2 - bed;
    if (a < 0) a = 0;
    if (b < 0) b = 0;
    double stepL = 0.5 * g * (h1 * h1 - a * a), stepR = 0.5 * g * (h2 * h2 - b * b);
    int right = row + f, left = right - step;
    if (a == 0 && b == 0) { rAcross[left] -= stepL * inverse; rAcross[right] += stepR * inverse; continue; }
    double u1 = nL[f], u2 = nR[f], c1 = rootG * sqrt(a), c2 = rootG * sqrt(b), s1, s2;
    if (a == 0) { s1 = u2 - 2 * c2; s2 = u2 + c2; }
    else if (b == 0) { s1 = u1 - c1; s2 = u1 + 2 * c1; }
    else {
      double l1 = u1 - c1, l2 = u2 - c2, r1 = u1 + c1, r2 = u2 + c2;
      s1 = l1 < l2 ? l1 : l2;
      s2 = r1 > r2 ? r1 : r2;
    }
    double m1 = a * u1, m2 = b * u2, p1 = m1 * u1 + 0.5 * g * a * a, p2 = m2 * u2 + 0.5 * g * b * b, m, p;
    if (s1 >= 0) { m = m1; p = p1; }
    else if (s2 <= 0) { m = m2; p = p2; }
    else {
      double span = 1 / (s2 - s1);
      m = (s2 * m1 - s1 * m2 + s1 * s2 * (b - a)) * span;
      p = (s2 * p1 - s1 * p2 + s1 * s2 * (m2 - m1)) * span;
    }
    double t = m * (m >= 0 ? tL[f] : tR[f]);
    if (f >= stressFrom && f <= stressTo && h[left] > FILM && h[right] > FILM) {
      double nu = 0.5 * (nuh[left] + nuh[right]) * inverse;
      p -= nu * (across[right] - across[left]);
      t -= nu * (alongU[right] - alongU[left]);
    }
    m *= inverse; t *= inverse;
    rh[left] -= m; rh[right] += m;
    rAcross[left] -= (p + stepL) * inverse; rAcross[right] += (p + stepR) * inverse;
    rAlong[left] -= t; rAlong[right] += t;
  }
}

static void crossOpenEnds(int j, int row, int first, int last) {
  double inverse = 1 / cell;
  if (first == RINGS) {
    int k = row + RINGS;
    double q = inlet[j], depth = hR[RINGS], speed = nR[RINGS], hB;
    if (q == 0) hB = depth;
    else {
      double invariant = speed - 2 * sqrt(g * depth), critical = cbrt(q * g);
      double c = fmax(critical, sqrt(g * fmax(depth, 1e-4)));
      for (int t = 0; t < 12; t++) {
        double fc = g * q / (c * c) - 2 * c - invariant, sl = -2 * g * q / (c * c * c) - 2, next = c - fc / sl;
        if (fabs(next - c) < 1e-10) break;
        c = fmax(0.3 * c, next);
      }
      c = fmax(c, critical);
      hB = c * c / g;
    }
    rh[k] += q * inverse;
    ru[k] += ((hB > 0 ? q * q / hB : 0) + 0.5 * g * hB * hB) * inverse;
    rv[k] += q * (q > 0 ? 0 : v[k]) * inverse;
  }
  if (last == RINGS + nx - 1) {
    int k = row + last;
    double depth = hL[last + 1], speed = nL[last + 1], hOut = level - zL[last + 1], m = 0, hB = 0;
    if (depth > 1e-6 || hOut > 1e-6) {
      double c = sqrt(g * depth);
      if (speed >= c) { hB = depth; m = depth * speed; }
      else {
        double cOut = sqrt(g * fmax(0, hOut)), out = speed + 2 * (c - cOut);
        if (out > cOut) { cOut = (speed + 2 * c) / 3; out = cOut; }
        hB = cOut * cOut / g;
        m = hB * out;
      }
    }
    rh[k] -= m * inverse;
    ru[k] -= ((hB > 0 ? m * m / hB : 0) + 0.5 * g * hB * hB) * inverse;
    rv[k] -= m * (m > 0 ? v[k] : 0) * inverse;
  }
}

static void sweepX(int j) {
  int row = (j + RINGS) * stride, first = spanLow(j), last = spanHigh(j);
  if (last < first) return;
  double inverse = 1 / cell;
  for (int i = first - 1; i <= last + 1; i++) {
    int k = row + i;
    double a = h[k], b = u[k], c = v[k], w = a + z[k];
    double sh = 0.5 * slope(a - h[k - 1], h[k + 1] - a), sw = 0.5 * slope(w - h[k - 1] - z[k - 1], h[k + 1] + z[k + 1] - w);
    double su = 0.5 * slope(b - u[k - 1], u[k + 1] - b), sv = 0.5 * slope(c - v[k - 1], v[k + 1] - c);
    hR[i] = a - sh; zR[i] = w - sw - a + sh; nR[i] = b - su; tR[i] = c - sv;
    hL[i + 1] = a + sh; zL[i + 1] = w + sw - a - sh; nL[i + 1] = b + su; tL[i + 1] = c + sv;
  }
  int from = first == RINGS ? first + 1 : first, to = last == RINGS + nx - 1 ? last : last + 1;
  crossFaces(u, v, ru, rv, row, 1, from, to, RINGS + 1, stride - RINGS - 1);
  for (int i = first; i <= last; i++) ru[row + i] -= 0.5 * g * inverse * (hR[i] + hL[i + 1]) * (zL[i + 1] - zR[i]);
  crossOpenEnds(j, row, first, last);
}

static void sweepY(void) {
  double inverse = 1 / cell;
  int keptLow = 0, keptHigh = -1;
  for (int j = -1; j <= ny; j++) {
    int inside = j >= 0 && j < ny, row = (j + RINGS) * stride;
    int ja = imax(0, j - 1), jb = imin(ny - 1, imax(0, j)), jc = imin(ny - 1, j + 1);
    int lo = imin(spanLow(ja), imin(spanLow(jb), spanLow(jc))), hi = imax(spanHigh(ja), imax(spanHigh(jb), spanHigh(jc)));
    for (int i = lo; i <= hi; i++) {
      if (i >= keptLow && i <= keptHigh) i = keptHigh + 1;
      if (i > hi) break;
      hL[i] = nL[i] = tL[i] = 0;
      zL[i] = z[row + i - stride];
    }
    keptLow = lo; keptHigh = hi;
    for (int i = lo; i <= hi; i++) {
      int k = row + i, no = k - stride, so = k + stride;
      double a = h[k], b = u[k], c = v[k], w = a + z[k];
      double sh = 0.5 * slope(a - h[no], h[so] - a), sw = 0.5 * slope(w - h[no] - z[no], h[so] + z[so] - w);
      hR[i] = a - sh; zR[i] = w - sw - a + sh;
      nR[i] = c - 0.5 * slope(c - v[no], v[so] - c);
      tR[i] = b - 0.5 * slope(b - u[no], u[so] - b);
    }
    if (j >= 0) crossFaces(v, u, rv, ru, row, stride, lo, hi, inside && j > 0 ? lo : hi + 1, hi);
    for (int i = lo; i <= hi; i++) {
      int k = row + i;
      double farH = 2 * h[k] - hR[i], farZ = 2 * z[k] - zR[i];
      if (inside) rv[k] -= 0.5 * g * inverse * (hR[i] + farH) * (farZ - zR[i]);
      hL[i] = farH; zL[i] = farZ; nL[i] = 2 * v[k] - nR[i]; tL[i] = 2 * u[k] - tR[i];
    }
  }
}

static void residual(void) {
  size_t bytes = sizeof(double) * stride * (ny + 2 * RINGS);
  memset(rh, 0, bytes); memset(ru, 0, bytes); memset(rv, 0, bytes);
  double sum = 0;
  for (int j = 0; j < ny; j++) {
    int k = (j + RINGS) * stride + RINGS;
    double r = cbrt(h[k]);
    inlet[j] = h[k] > 0.005 ? h[k] * r * r / fmax(n[k], 1e-3) : 0;
    sum += inlet[j];
  }
  for (int j = 0; j < ny; j++) inlet[j] *= sum > 0 ? discharge / (sum * cell) : 0;
  for (int j = 0; j < ny; j++) sweepX(j);
  sweepY();
}

static void mirrorRow(int to, int from) {
  size_t bytes = sizeof(double) * stride;
  memcpy(h + to * stride, h + from * stride, bytes);
  memcpy(u + to * stride, u + from * stride, bytes);
  memcpy(nuh + to * stride, nuh + from * stride, bytes);
  for (int i = 0; i < stride; i++) v[to * stride + i] = -v[from * stride + i];
  low[to] = low[from]; high[to] = high[from];
}

static void ghosts(void) {
  for (int j = 0; j < ny; j++) {
    int row = (j + RINGS) * stride;
    for (int r = 1; r <= RINGS; r++) for (int end = 0; end < 2; end++) {
      int from = end ? row + RINGS + nx - 1 : row + RINGS, to = end ? from + r : from - r;
      h[to] = h[from]; u[to] = u[from]; v[to] = v[from]; nuh[to] = nuh[from];
    }
  }
  for (int r = 1; r <= RINGS; r++) { mirrorRow(RINGS - r, RINGS + r - 1); mirrorRow(RINGS + ny - 1 + r, RINGS + ny - r); }
}

static void advanceRow(int j, double dt, int average, int from, int to) {
  int row = (j + RINGS) * stride, lo = stride, hi = -1;
  double a = alpha * sqrt(g), dragScale = 4 * dt * g;
  for (int k = row + from; k <= row + to; k++) {
    double depth = h[k] + dt * rh[k], qx = 0, qy = 0, r = root[k];
    if (depth < 0) depth = 0;
    if (depth > FILM) {
      qx = hu[k] + dt * ru[k];
      qy = hv[k] + dt * rv[k];
      if (dt > 0 && n[k] > 0) {
        r = inverseCubeRoot(depth, r);
        double r2 = r * r, drag = dragScale * n[k] * n[k] * sqrt(qx * qx + qy * qy) * r2 * r2 * r2 * r, kept = 2 / (1 + sqrt(1 + drag));
        qx *= kept;
        qy *= kept;
      }
    }
    if (average) { depth = 0.5 * (h0[k] + depth); qx = 0.5 * (hu0[k] + qx); qy = 0.5 * (hv0[k] + qy); }
    h[k] = depth;
    if (depth > 0) { if (lo == stride) lo = k - row; hi = k - row; }
    if (depth <= FILM) { hu[k] = hv[k] = u[k] = v[k] = nuh[k] = 0; continue; }
    if (average || dt == 0 || n[k] == 0) r = inverseCubeRoot(depth, r);
    root[k] = r;
    double inverse = r * r * r, uk = qx * inverse, vk = qy * inverse, speed2 = uk * uk + vk * vk;
    hu[k] = qx; hv[k] = qy; u[k] = uk; v[k] = vk;
    nuh[k] = a * n[k] * depth * depth * sqrt(speed2 * r);
    if (!average && dt > 0) continue;
    double wave = fabs(uk) + fabs(vk) + 2 * sqrt(g * depth);
    if (wave > fastest) fastest = wave;
  }
  low[j + RINGS] = lo; high[j + RINGS] = hi;
}

static void advance(double dt, int average) {
  fastest = 0;
  int lo = spanLow(0), hi = spanHigh(0);
  for (int j = 0; j < ny; j++) {
    int nextLo = j + 1 < ny ? spanLow(j + 1) : 0, nextHi = j + 1 < ny ? spanHigh(j + 1) : 0;
    advanceRow(j, dt, average, lo, hi);
    lo = nextLo; hi = nextHi;
  }
  ghosts();
}

static void step(void) {
  size_t bytes = sizeof(double) * stride * (ny + 2 * RINGS);
  double dt = fmin(courant * cell / fastest, 5);
  memcpy(h0, h, bytes); memcpy(hu0, hu, bytes); memcpy(hv0, hv, bytes);
  residual();
  advance(dt, 0);
  residual();
  advance(dt, 1);
}

static double *make(size_t count) { return calloc(count, sizeof(double)); }

int main(int argc, char **argv) {
  if (argc != 3) return 2;
  FILE *in = fopen(argv[1], "rb");
  int head[4];
  double params[5];
  if (!in || fread(head, sizeof head, 1, in) != 1 || fread(params, sizeof params, 1, in) != 1) return 2;
  nx = head[0]; ny = head[1]; stride = nx + 2 * RINGS;
  cell = params[0]; discharge = params[1]; level = params[2]; alpha = params[3]; courant = params[4];
  size_t size = (size_t)stride * (ny + 2 * RINGS);
  double **arrays[] = {&z, &n, &h, &u, &v, &hu, &hv, &h0, &hu0, &hv0, &rh, &ru, &rv, &nuh, &root};
  for (size_t k = 0; k < sizeof arrays / sizeof *arrays; k++) *arrays[k] = make(size);
  double **rows[] = {&hL, &zL, &nL, &tL, &hR, &zR, &nR, &tR};
  for (size_t k = 0; k < sizeof rows / sizeof *rows; k++) *rows[k] = make(stride + 1);
  inlet = make(ny);
  low = calloc(ny + 2 * RINGS, sizeof(int));
  high = calloc(ny + 2 * RINGS, sizeof(int));
  for (int k = 0; k < 5; k++) if (fread(*arrays[k], sizeof(double), size, in) != size) return 2;
  fclose(in);
  for (size_t k = 0; k < size; k++) { hu[k] = h[k] * u[k]; hv[k] = h[k] * v[k]; }
  for (int j = 0; j < ny; j++) advanceRow(j, 0, 0, RINGS, RINGS + nx - 1);
  ghosts();
  struct timespec a, b;
  clock_gettime(CLOCK_MONOTONIC, &a);
  for (int k = 0; k < head[2]; k++) step();
  clock_gettime(CLOCK_MONOTONIC, &b);
  printf("%.0f\n", (b.tv_sec - a.tv_sec) * 1e9 + (b.tv_nsec - a.tv_nsec));
  FILE *out = fopen(argv[2], "wb");
  if (!out || fwrite(h, sizeof(double), size, out) != size) return 2;
  return fclose(out);
}
