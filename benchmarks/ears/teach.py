#!/usr/bin/env python3
"""Teaches the two nets of vocalis.sound.learnt what Teaching wrote; needs Python 3 and numpy.

    benchmarks/ears/teach.py strokes|notes FOLDER OUT.net

FROM=OLD.net goes on from weights that are there, with smaller steps. Every nineteenth
lesson is kept out: what the net makes of those is printed. Weights are found by Adam (Kingma and Ba
2015) with a cosine falling rate, dropout (Srivastava and others 2014) and weight decay. What it is
shown is altered each time, so that rooms, amplifiers and noise that we did not render are heard
too: another equaliser, noise, a phone's band, a third of a semitone.
"""
import glob
import os
import struct
import sys
import time

import numpy as np

RNG = np.random.default_rng(1)
LONGS, SHORTS = 69, 25
LONG_AT = np.array([-16, -12, -9, -6, -4, -2, -1, 0, 1, 2, 3, 4, 5, 6, 8, 10, 12, 14, 16])
SHORT_AT = np.arange(-4, 7)
HOP = 0.005
BANDS, NOTES = 240, 60


def held_out(number):
    return number % 19 == 9


def likely(odds):
    return 1 / (1 + np.exp(-np.clip(odds, -60, 60)))


class Net:
    """Dense layers; all but the last let nothing below zero through."""

    def __init__(self, sizes, offset, drop):
        self.w = [RNG.normal(0, np.sqrt((1 if k == 0 else 2) / a), (a, b)).astype('f4')
                  for k, (a, b) in enumerate(zip(sizes, sizes[1:]))]
        self.b = [np.zeros(b, 'f4') for b in sizes[1:]]
        self.b[-1] += np.float32(offset)
        self.drop = drop
        self.m = [np.zeros_like(p) for p in self.w + self.b]
        self.v = [np.zeros_like(p) for p in self.w + self.b]
        self.step = 0

    def go_on(self, path, mean, spread):
        """From the weights of a file, as write leaves them; where it is narrower, the units of
        the first layer that it lacks begin at random and count little."""
        fresh = self.w[0]
        with open(path, 'rb') as f:
            for k in range(struct.unpack('>i', f.read(4))[0]):
                a, b = struct.unpack('>ii', f.read(8))
                scale = np.frombuffer(f.read(4 * b), '>f4').astype('f4')
                self.b[k] = np.frombuffer(f.read(4 * b), '>f4').astype('f4')
                self.w[k] = np.frombuffer(f.read(2 * a * b), '>i2').reshape(a, b) * scale
        self.b[0] += ((mean / spread) @ (self.w[0] * spread[:, None])).astype('f4')
        self.w[0] = (self.w[0] * spread[:, None]).astype('f4')
        had = len(self.b[0])
        more = fresh.shape[1] - had
        if more > 0:
            self.w[0] = np.concatenate([self.w[0], fresh[:, had:]], 1)
            self.b[0] = np.concatenate([self.b[0], np.zeros(more, 'f4')])
            little = RNG.normal(0, 0.02, (more, self.w[1].shape[1])).astype('f4')
            self.w[1] = np.concatenate([self.w[1], little]).astype('f4')

    def of(self, x):
        for k, (w, b) in enumerate(zip(self.w, self.b)):
            x = x @ w + b
            if k + 1 < len(self.w):
                x = np.maximum(x, 0)
        return x

    def learn(self, x, y, rate, decay):
        """One step towards what is true; gives the loss."""
        ins, masks = [x], []
        for k, (w, b) in enumerate(zip(self.w, self.b)):
            x = x @ w + b
            if k + 1 < len(self.w):
                mask = (RNG.random(x.shape) >= self.drop[k]) / (1 - self.drop[k]) * (x > 0)
                masks.append(mask.astype('f4'))
                x = x * masks[-1]
                ins.append(x)
        p = likely(x)
        loss = -(y * np.log(p + 1e-7) + (1 - y) * np.log(1 - p + 1e-7)).sum()
        d = ((p - y) / len(y)).astype('f4')
        gw, gb = [], []
        for k in range(len(self.w) - 1, -1, -1):
            gw.insert(0, ins[k].T @ d)
            gb.insert(0, d.sum(0))
            if k > 0:
                d = (d @ self.w[k].T) * masks[k - 1]
        self.step += 1
        for i, (p, g) in enumerate(zip(self.w + self.b, gw + gb)):
            self.m[i] += 0.1 * (g - self.m[i])
            self.v[i] += 0.001 * (g * g - self.v[i])
            up = self.m[i] / (1 - 0.9 ** self.step)
            up = up / (np.sqrt(self.v[i] / (1 - 0.999 ** self.step)) + 1e-8)
            if i < len(self.w):
                up = up + decay * p
            p -= (rate * up).astype('f4')
        return loss

    def write(self, path, mean, spread):
        """As Layers reads it; what the levels are brought to first goes into the first layer."""
        w = [self.w[0] / spread[:, None]] + self.w[1:]
        b = [self.b[0] - (mean / spread) @ self.w[0]] + self.b[1:]
        with open(path, 'wb') as f:
            f.write(struct.pack('>i', len(w)))
            for a, c in zip(w, b):
                scale = (np.abs(a).max(0) / 32767 + 1e-12).astype('f4')
                f.write(struct.pack('>ii', *a.shape))
                f.write(scale.astype('>f4').tobytes())
                f.write(c.astype('>f4').tobytes())
                f.write(np.round(a / scale).astype('>i2').tobytes())


def rate(most, epoch, epochs):
    return most * 0.5 * (1 + np.cos(np.pi * epoch / epochs)) + 2e-5


def lessons(folder):
    files = glob.glob(os.path.join(folder, '*.strokes'))
    return sorted(int(os.path.basename(f).split('.')[0]) for f in files)


def read(folder, name, width):
    x = np.fromfile(os.path.join(folder, name), '<f4')
    return x.reshape(-1, width) if width > 1 else x


# ---------------------------------------------------------------- strokes

def edges(bin_hz, low, high, octave):
    all_ = []
    k = 0
    while low * 2 ** (k / octave) <= high:
        b = int(low * 2 ** (k / octave) / bin_hz + 0.5)
        if not all_ or b > all_[-1]:
            all_.append(b)
        k += 1
    return np.array(all_) * bin_hz


def strokes(folder, out):
    silent = np.log(1e-3)
    pad = 20
    numbers = lessons(folder)
    pictures = [read(folder, f'{n}.strokes', LONGS + SHORTS) for n in numbers]
    onsets = [read(folder, f'{n}.onsets', 1) for n in numbers]
    some = np.concatenate([p[::50] for p in pictures])
    mean, spread = some.mean(0), some.std(0)
    blank = np.full((pad, LONGS + SHORTS), silent, 'f4')
    rows, first, truth = [], [], []
    at = 0
    for p, on in zip(pictures, onsets):
        rows.append(((np.concatenate([blank, p, blank]) - mean) / spread).astype('f2'))
        first.append(at + pad)
        at += len(p) + 2 * pad
        t = np.arange(len(p)) * HOP
        y = np.zeros(len(p), 'f4')
        for s in on:
            y = np.maximum(y, np.exp(-0.5 * ((t - s) / HOP) ** 2))
        truth.append(y)
    rows = np.concatenate(rows)
    del pictures
    hz = [np.sqrt(e[:-1] * e[1:]) for e in
          (edges(48000 / 2048, 70, 10000, 12), edges(48000 / 512, 150, 12000, 5))]
    tile = lambda a, b: np.concatenate([np.tile(a, len(LONG_AT)), np.tile(b, len(SHORT_AT))])
    octaves = tile(np.log2(hz[0] / 1000), np.log2(hz[1] / 1000)).astype('f4')
    mean, spread = (tile(a[:LONGS], a[LONGS:]).astype('f4') for a in (mean, spread))

    def seen(hops):
        a = rows[hops[:, None] + LONG_AT][:, :, :LONGS].reshape(len(hops), -1)
        b = rows[hops[:, None] + SHORT_AT][:, :, LONGS:].reshape(len(hops), -1)
        return np.concatenate([a, b], 1).astype('f4')

    def altered(x):
        """Each 32 hops through another equaliser, most of them; half of them with noise."""
        n = -(-len(x) // 32)
        one = lambda s: RNG.normal(0, s, (n, 1)).astype('f4')
        e = one(0.3) + one(0.2) * octaves
        for w in (1.0, 2.0, 3.5):
            e += one(0.25) * np.cos(w * octaves + RNG.uniform(0, 6.3, (n, 1)).astype('f4'))
        phone = (RNG.random((n, 1)) < 0.1).astype('f4')
        e -= phone * (np.maximum(0, -2.3 - octaves) * 2.5 + np.maximum(0, octaves - 2.6) * 3)
        e *= RNG.random((n, 1)) < 0.65
        each = lambda a: np.repeat(a, 32, 0)[:len(x)]
        level = x * spread + (mean + each(e.astype('f4')))
        noisy = np.nonzero(each(RNG.random((n, 1)) < 0.4)[:, 0])[0]
        floor = each((silent - 0.3 + RNG.exponential(1, (n, 1))).astype('f4'))[noisy]
        floor = floor + 0.3 * RNG.standard_normal((len(noisy), len(octaves)), 'f4')
        level[noisy] = np.log(np.exp(level[noisy]) + np.exp(floor))
        return (np.maximum(level, np.float32(silent)) - mean) / spread

    hops, wanted = [], []
    for n, f, y in zip(numbers, first, truth):
        if not held_out(n):
            near = np.convolve(y > 0.01, np.ones(21), 'same') > 0
            keep = near | (RNG.random(len(y)) < 0.3)
            hops.append(f + np.nonzero(keep)[0])
            wanted.append(y[keep])
    hops, wanted = np.concatenate(hops), np.concatenate(wanted)[:, None]
    net = Net([len(octaves), 192, 24, 1], -2, (0.2, 0))
    most = 1e-3
    if 'FROM' in os.environ:
        net.go_on(os.environ['FROM'], mean, spread)
        most = 3e-4
    epochs = int(os.environ.get('EPOCHS', 10))
    for epoch in range(epochs):
        begun, loss = time.time(), 0
        order = RNG.permutation(len(hops))[:len(hops) // 2]
        for k in range(0, len(order), 1024):
            q = order[k:k + 1024]
            loss += net.learn(altered(seen(hops[q])), wanted[q],
                              rate(most, epoch, epochs), 1e-2)
        print(epoch, round(loss / len(order), 5), round(time.time() - begun), 's', flush=True)
        net.write(out, mean, spread)
    for least in (0.25, 0.35, 0.45):
        found = extra = there = 0
        for n, f, y, on in zip(numbers, first, truth, onsets):
            if not held_out(n):
                continue
            p = np.concatenate([likely(net.of(seen(f + np.arange(k, min(k + 2048, len(y))))))[:, 0]
                                for k in range(0, len(y), 2048)])
            left = [HOP * k for k in range(len(p))
                    if p[k] > least and p[k] == p[max(0, k - 7):k + 8].max()]
            there += len(on)
            for s in on:
                near = [t for t in left if abs(t - s) <= 0.0125]
                if near:
                    left.remove(near[0])
                    found += 1
            extra += len(left)
        print('kept out, from', least, 'on:', found, 'of', there, 'found,', extra, 'too many')


# ---------------------------------------------------------------- notes

def notes(folder, out):
    width = 3 * BANDS + 2 + NOTES + 2
    numbers = [n for n in lessons(folder) if os.path.exists(os.path.join(folder, f'{n}.notes'))]
    all_ = [read(folder, f'{n}.notes', width) for n in numbers]
    kept = np.concatenate([np.full(len(a), held_out(n)) for n, a in zip(numbers, all_)])
    all_ = np.concatenate(all_)
    x, gaps, y = all_[:, :3 * BANDS], all_[:, 3 * BANDS:3 * BANDS + 2], all_[:, 3 * BANDS + 2:]
    x = x.reshape(-1, 3, BANDS)
    mean, spread = x[::5].mean((0, 2)), x[::5].std((0, 2))
    octaves = (np.arange(BANDS) / 36 - np.log2(1000 / 60)).astype('f4')
    silent = np.log(2e-3)

    def seen(x, gaps):
        levels = (x - mean[None, :, None]) / spread[None, :, None]
        return np.concatenate([levels.reshape(len(x), -1), 4 * gaps - 1], 1).astype('f4')

    def shifted(x, y, by):
        """Some semitones higher; what is not known there is silent."""
        a, b = np.full_like(x, silent), np.zeros_like(y)
        b[:, NOTES:] = y[:, NOTES:]
        if by >= 0:
            a[:, :, 3 * by:] = x[:, :, :BANDS - 3 * by]
            b[:, by:NOTES] = y[:, :NOTES - by]
        else:
            a[:, :, :3 * by] = x[:, :, -3 * by:]
            b[:, :NOTES + by] = y[:, -by:NOTES]
        return a, b

    def altered(x):
        n = len(x)
        one = lambda s: RNG.normal(0, s, (n, 1, 1)).astype('f4')
        some = lambda share: RNG.random((n, 1, 1)) < share
        e = one(0.2) * octaves
        for w in (1.0, 2.0, 3.5):
            e = e + one(0.25) * np.cos(w * octaves + RNG.uniform(0, 6.3, (n, 1, 1)).astype('f4'))
        e = e - some(0.08) * (np.maximum(0, -2.3 - octaves) * 2.5
                              + np.maximum(0, octaves - 2.6) * 3)
        x = x + e * some(0.6)
        x = x - x[:, :2].max((1, 2))[:, None, None]
        noise = np.where(some(0.35), silent + RNG.exponential(0.7, (n, 1, 1)), -20)
        x = np.logaddexp(x, (noise + RNG.normal(0, 0.3, x.shape)).astype('f4'))
        return np.roll(np.maximum(x, silent), int(RNG.integers(-1, 2)), axis=2)

    learnt = np.nonzero(~kept)[0]
    net = Net([3 * BANDS + 2, 640, 320, NOTES + 2], -2, (0.2, 0.1))
    widths = (np.append(np.repeat(mean, BANDS), [0.25, 0.25]),
              np.append(np.repeat(spread, BANDS), [0.25, 0.25]))
    most = 1.5e-3
    if 'FROM' in os.environ:
        net.go_on(os.environ['FROM'], *widths)
        most = 3e-4
    epochs = int(os.environ.get('EPOCHS', 80))
    for epoch in range(epochs):
        begun, loss = time.time(), 0
        order = RNG.permutation(learnt)
        for k in range(0, len(order), 256):
            q = order[k:k + 256]
            a, b = shifted(x[q], y[q], int(RNG.integers(-3, 4)))
            a = seen(altered(a), gaps[q])
            a += 0.1 * RNG.standard_normal(a.shape, 'f4')
            loss += net.learn(a, b, rate(most, epoch, epochs), 5e-3)
        print(epoch, round(loss / len(learnt), 4), round(time.time() - begun), 's', flush=True)
    net.write(out, *widths)
    p = likely(net.of(seen(x[kept], gaps[kept]))) > 0.5
    t = y[kept] > 0.5
    for driven in (False, True):
        k = t[:, NOTES + 1] == driven
        a, b = p[k, :NOTES], t[k, :NOTES]
        print('kept out,', 'driven:' if driven else 'clean:', len(a), 'strokes, F',
              round(2 * (a & b).sum() / (a.sum() + b.sum()), 3), ', all notes right',
              round((a == b).all(1).mean(), 3), ', stopped told rightly',
              round((p[k, NOTES] == t[k, NOTES]).mean(), 3), ', driven',
              round((p[k, NOTES + 1] == driven).mean(), 3))


if __name__ == '__main__':
    {'strokes': strokes, 'notes': notes}[sys.argv[1]](sys.argv[2], sys.argv[3])
