// Every flavor of every format: written by others and read here, written here and read by others.
import {execFileSync, spawnSync} from 'node:child_process';
import {readFileSync, writeFileSync, existsSync} from 'node:fs';
import {createRequire} from 'node:module';
import {join} from 'node:path';
import * as pnm from './pnm.mjs';

const require = createRequire(import.meta.url);
const {PNG} = require('pngjs');
const UPNG = require('upng-js');
const UTIF = require('utif2');
const [root, work, page] = process.argv.slice(2);
const file = name => join(work, name);
const tool = (name, ...words) => execFileSync(name, words, {stdio: ['ignore', 'pipe', 'pipe'], maxBuffer: 1 << 26});

const W = 13, H = 11;
const gray = max => pnm.picture(W, H, 1, max, p => (p * 7919 + 13 * (p % W)) % (max + 1));
const color = (max, channels = 3) => pnm.picture(W, H, channels, max, (p, c) => (p * (7919 + 31 * c) + 97 * c) % (max + 1));
const few = count => pnm.picture(W, H, 3, 255, (p, c) => [(p % count) * 37 % 256, (p % count) * 91 % 256, (p % count) * 53 % 256][c]);
const bits = gray(1);
const smooth = channels => pnm.picture(32, 24, channels, 255, (p, c) => Math.round(128 + 100 * Math.sin((p % 32) / 7 + c) * Math.cos(Math.floor(p / 32) / 5)));

/** What is expected of ours: samples as they are, or a refusal in one line. */
const rows = [];
function pixeron(...words) {
    const run = spawnSync(join(root, 'pixeron'), words, {encoding: 'utf8'});
    return {code: run.status, said: run.stderr.trim()};
}

function reads(format, flavor, by, make, expected, {tolerance = 0, isRefused = false} = {}) {
    const name = file(`in-${rows.length}.${format}`);
    let result;
    try {
        make(name);
        const wanted = typeof expected === 'function' ? expected(name) : expected;
        const out = file(`out-${rows.length}.${wanted.channels % 2 === 0 ? 'pam' : wanted.channels === 3 ? 'ppm' : 'pgm'}`);
        const ours = pixeron('run', name, '--out', out);
        if (ours.code !== 0) {
            result = (isRefused ? 'refused: ' : 'NOT READ: ') + ours.said.split('\n')[0].replace(/.*in-\d+\.\w+: /, '');
            if (isRefused && ours.said.split('\n').length > 1) result = 'NOT ONE LINE';
        } else {
            const off = pnm.difference(pnm.read(out), wanted);
            result = typeof off === 'string' ? 'WRONG: ' + off : off === 0 ? 'equal' : off <= tolerance ? `at most ${off} off` : `WRONG: ${off} off`;
        }
    } catch (trouble) {
        result = 'NOT MADE: ' + String(trouble.message).split('\n')[0];
    }
    rows.push({way: 'read', format, flavor, by, result});
}

function writes(format, flavor, by, samples, decode, {tolerance = 0} = {}) {
    const source = file(`source-${rows.length}.${samples.channels % 2 === 0 ? 'pam' : samples.channels === 3 ? 'ppm' : 'pgm'}`);
    const name = file(`written-${rows.length}.${format}`);
    let result;
    try {
        pnm.write(source, samples);
        const ours = pixeron('run', source, '--out', name);
        if (ours.code !== 0) result = 'NOT WRITTEN: ' + ours.said;
        else {
            const off = pnm.difference(decode(name), samples);
            result = typeof off === 'string' ? 'WRONG: ' + off : off === 0 ? 'equal' : off <= tolerance ? `at most ${off} off` : `WRONG: ${off} off`;
        }
    } catch (trouble) {
        result = 'NOT READ THERE: ' + String(trouble.message).split('\n')[0];
    }
    rows.push({way: 'written', format, flavor, by, result});
}

// ---- TIFF, by the format's own tools
const tiff = (samples, ...options) => name => {
    const source = name + (samples.channels === 3 ? '.ppm' : samples.max === 1 ? '.pbm' : '.pgm');
    (samples.max === 1 ? pnm.writeBits : pnm.write)(source, samples);
    tool('ppm2tiff', source, name + '.plain.tif');
    tool('tiffcp', ...options, name + '.plain.tif', name);
};
for (const [kind, samples] of [['gray, 8 bits', gray(255)], ['gray, 16 bits', gray(65535)], ['color, 8 bits', color(255)], ['color, 16 bits', color(65535)]]) {
    for (const [words, ...options] of [['not packed', '-c', 'none'], ['LZW', '-c', 'lzw'], ['LZW with differences', '-c', 'lzw:2'], ['deflate', '-c', 'zip'],
        ['deflate with differences', '-c', 'zip:2'], ['packbits', '-c', 'packbits'], ['tiles of 16, LZW with differences', '-t', '-w', '16', '-l', '16', '-c', 'lzw:2'],
        ['large byte first, deflate with differences', '-B', '-c', 'zip:2'], ['strips of 2 rows', '-r', '2', '-c', 'lzw']]) {
        reads('tif', `${kind}: ${words}`, 'libtiff', tiff(samples, ...options), samples);
    }
    if (samples.channels === 3 && samples.max === 255) reads('tif', `${kind}: channels apart, LZW with differences`, 'libtiff', tiff(samples, '-p', 'separate', '-c', 'lzw:2'), samples);
    reads('tif', `${kind}: large form (64 bit offsets)`, 'libtiff', tiff(samples, '-8', '-c', 'lzw'), samples);
}
for (const [words, ...options] of [['not packed', '-c', 'none'], ['fax group 3', '-c', 'g3'], ['fax group 4', '-c', 'g4'], ['LZW', '-c', 'lzw'], ['bits from the right', '-f', 'lsb2msb', '-c', 'none']]) {
    reads('tif', `1 bit: ${words}`, 'libtiff', tiff(bits, ...options), bits);
}
reads('tif', 'palette of 16 colors', 'imagemagick', name => { pnm.write(name + '.ppm', few(16)); tool('convert', name + '.ppm', '-type', 'Palette', 'tiff:' + name); }, few(16));
reads('tif', 'color with alpha, 8 bits', 'imagemagick', name => { pnm.write(name + '.pam', color(255, 4)); tool('convert', name + '.pam', '-depth', '8', 'tiff:' + name); }, color(255, 4));

// ---- PNG
const pngjs = (samples, options) => name => {
    const {width, height, channels, max, data} = samples;
    const type = {1: 0, 2: 4, 3: 2, 4: 6}[channels];
    const values = max > 255 ? Buffer.from(Uint16Array.from(data).buffer) : Buffer.from(data);
    const png = new PNG({width, height, bitDepth: max > 255 ? 16 : 8, colorType: type, inputColorType: type, inputHasAlpha: channels % 2 === 0, ...options});
    png.data = values;
    writeFileSync(name, PNG.sync.write(png, {width, height, bitDepth: max > 255 ? 16 : 8, colorType: type, inputColorType: type, inputHasAlpha: channels % 2 === 0, ...options}));
};
for (const filter of [0, 1, 2, 3, 4]) reads('png', `gray, 8 bits, filter ${filter}`, 'pngjs', pngjs(gray(255), {filterType: filter}), gray(255));
reads('png', 'color, 8 bits', 'pngjs', pngjs(color(255), {}), color(255));
reads('png', 'color with alpha, 8 bits', 'pngjs', pngjs(color(255, 4), {}), color(255, 4));
for (const count of [2, 4, 16, 100]) {
    reads('png', `palette of ${count} colors`, 'upng', name => {
        // Without loss; so few colors become a palette, which has an alpha of 255 for each entry.
        const rgba = Uint8Array.from(few(count).data.reduce((all, v, n) => { all.push(v); if (n % 3 === 2) all.push(255); return all; }, []));
        writeFileSync(name, Buffer.from(UPNG.encode([rgba.buffer], W, H, 0)));
    }, pnm.picture(W, H, 4, 255, (p, c) => (c === 3 ? 255 : few(count).data[3 * p + c])));
}
const magick = (samples, ...options) => name => {
    const source = name + {1: '.pgm', 2: '.pam', 3: '.ppm', 4: '.pam'}[samples.channels];
    pnm.write(source, samples);
    tool('convert', source, ...options, (options.kind ?? '') + name);
};
for (const [depth, max] of [[1, 1], [2, 3], [4, 15], [8, 255], [16, 65535]]) {
    for (const lace of ['None', 'PNG']) {
        reads('png', `gray, ${depth} bit${depth > 1 ? 's' : ''}${lace === 'PNG' ? ', interlaced' : ''}`, 'libpng', magick(gray(max), '-define', `png:bit-depth=${depth}`, '-define', 'png:color-type=0', '-interlace', lace), gray(max));
    }
}
reads('png', 'color, 16 bits, interlaced', 'libpng', magick(color(65535), '-define', 'png:bit-depth=16', '-define', 'png:color-type=2', '-interlace', 'PNG'), color(65535));
reads('png', 'color with alpha, 16 bits', 'libpng', magick(color(65535, 4), '-define', 'png:bit-depth=16', '-define', 'png:color-type=6'), color(65535, 4));
reads('png', 'palette, interlaced', 'libpng', magick(few(16), '-define', 'png:color-type=3', '-interlace', 'PNG'), few(16));

// ---- JPEG: decoders may differ by a level or two; the format's own decoder says what is right
const jpeg = (samples, ...options) => name => { pnm.write(name + '.ppm', samples); tool('cjpeg', ...options, '-outfile', name, name + '.ppm'); };
const decoded = name => { tool('djpeg', '-pnm', '-outfile', name + '.out', name); return pnm.read(name + '.out'); };
for (const [words, samples, ...options] of [['gray', smooth(1), '-grayscale'], ['color, whole', smooth(3), '-sample', '1x1'], ['color, halved both ways', smooth(3), '-sample', '2x2'],
    ['color, halved one way', smooth(3), '-sample', '2x1'], ['progressive', smooth(3), '-progressive', '-sample', '1x1'], ['with restarts', smooth(3), '-restart', '1', '-sample', '1x1'],
    ['red, green and blue as they are', smooth(3), '-rgb']]) {
    reads('jpg', words, 'libjpeg', jpeg(samples, '-quality', '90', ...options), decoded, {tolerance: 3});
}
reads('jpg', 'arithmetic coding', 'libjpeg', jpeg(smooth(3), '-arithmetic'), decoded, {isRefused: true});

// ---- GIF and BMP
for (const lace of ['None', 'GIF']) reads('gif', `16 colors${lace === 'GIF' ? ', interlaced' : ''}`, 'imagemagick', magick(few(16), '-interlace', lace), few(16));
reads('gif', '200 colors', 'imagemagick', magick(few(200)), few(200));
reads('gif', 'read and written again by giflib', 'giflib', name => { pnm.write(name + '.ppm', few(16)); tool('convert', name + '.ppm', name + '.gif'); writeFileSync(name + '.txt', tool('gifbuild', '-d', name + '.gif')); writeFileSync(name, execFileSync('gifbuild', [name + '.txt'])); }, few(16));
for (const [words, samples, ...options] of [['24 bits', color(255), '-type', 'TrueColor'], ['8 bits, palette', few(200), '-type', 'Palette'], ['4 bits, palette', few(16), '-type', 'Palette'], ['1 bit', bits, '-monochrome'],
    ['8 bits, run lengths', few(40), '-type', 'Palette', '-compress', 'RLE'], ['first form', color(255), '-type', 'TrueColor', '-define', 'bmp:format=bmp3']]) {
    reads('bmp', words, 'imagemagick', magick(samples, ...options), samples);
}

// ---- the other way
const readPng = name => {
    const png = PNG.sync.read(readFileSync(name), {skipRescale: true});
    return {png, values: png.data};
};
for (const max of [1, 3, 15, 255, 65535]) {
    writes('png', `gray, levels 0–${max}`, 'pngjs', gray(max), name => {
        const {png, values} = readPng(name);
        return pnm.picture(png.width, png.height, 1, 2 ** png.depth - 1, p => values[4 * p]);
    });
}
for (const [max, channels] of [[255, 3], [65535, 3], [255, 4], [65535, 4]]) {
    writes('png', `color${channels === 4 ? ' with alpha' : ''}, levels 0–${max}`, 'pngjs', color(max, channels), name => {
        const {png, values} = readPng(name);
        return pnm.picture(png.width, png.height, channels, 2 ** png.depth - 1, (p, c) => values[4 * p + c]);
    });
}
const readTiff = name => {
    const bytes = readFileSync(name);
    const [first] = UTIF.decode(bytes);
    UTIF.decodeImage(bytes, first);
    const channels = first.t277 ? first.t277[0] : 1;
    const deep = first.t258[0] === 16;
    return pnm.picture(first.width, first.height, channels, deep ? 65535 : 255, (p, c) => {
        const n = p * channels + c;
        // Whatever order the file has, it gives the small byte first.
        return !deep ? first.data[n] : first.data[2 * n] + 256 * first.data[2 * n + 1];
    });
};
for (const samples of [gray(255), gray(65535), color(255), color(65535)]) {
    const kind = `${samples.channels === 3 ? 'color' : 'gray'}, levels 0–${samples.max}`;
    writes('tif', kind, 'utif', samples, readTiff);
    writes('tif', kind + ', packed anew', 'libtiff', samples, name => { tool('tiffcp', '-c', 'none', name, name + '.plain.tif'); return readTiff(name + '.plain.tif'); });
}
writes('gif', 'gray', 'giflib', gray(255), name => {
    tool('gif2rgb', '-o', name + '.rgb', name);
    const read = channel => readFileSync(`${name}.rgb.${channel}`);
    const [r, g, b] = ['R', 'G', 'B'].map(read);
    return pnm.picture(W, H, 1, 255, p => (r[p] === g[p] && g[p] === b[p] ? r[p] : -1));
});
writes('gif', '16 colors', 'giflib', few(16), name => {
    tool('gif2rgb', '-o', name + '.rgb', name);
    const read = ['R', 'G', 'B'].map(channel => readFileSync(`${name}.rgb.${channel}`));
    return pnm.picture(W, H, 3, 255, (p, c) => read[c][p]);
});
for (const samples of [smooth(1), smooth(3)]) writes('jpg', samples.channels === 3 ? 'color' : 'gray', 'libjpeg', samples, decoded, {tolerance: samples.channels === 3 ? 90 : 30});
for (const samples of [gray(255), color(255)]) {
    writes('bmp', samples.channels === 3 ? 'color' : 'gray', 'imagemagick', samples, name => {
        const out = name + (samples.channels === 3 ? '.ppm' : '.pgm');
        tool('convert', name, '-depth', '8', out);
        return pnm.read(out);
    });
}

const wrong = rows.filter(row => /^[A-Z]{3}/.test(row.result));
const begin = readFileSync(page, 'utf8').split('<!-- measured -->')[0];
const table = way => ['| format | flavor | by | result |', '|---|---|---|---|', ...rows.filter(row => row.way === way).map(row => `| ${row.format} | ${row.flavor} | ${row.by} | ${row.result} |`)].join('\n');
writeFileSync(page, `${begin}<!-- measured -->\n\n## Written by other programs, read here\n\n${table('read')}\n\n## Written here, read by other programs\n\n${table('written')}\n`);
console.log(`${rows.length} flavors, ${wrong.length} wrong`);
wrong.forEach(row => console.log(`${row.way} ${row.format} ${row.flavor} (${row.by}): ${row.result}`));
process.exit(wrong.length === 0 ? 0 : 1);
