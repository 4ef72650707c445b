// Pictures as samples, and Netpbm files of them: the form in which both sides are compared.
import {readFileSync, writeFileSync} from 'node:fs';

export const picture = (width, height, channels, max, sample) => {
    const data = [];
    for (let n = 0; n < width * height * channels; n++) data.push(sample(Math.floor(n / channels), n % channels));
    return {width, height, channels, max, data};
};

/** Raw PBM, PGM or PPM; with two or four channels PAM. */
export function write(file, {width, height, channels, max, data}) {
    const kind = {1: 'P5', 3: 'P6'}[channels];
    const header = kind ? `${kind}\n${width} ${height}\n${max}\n`
        : `P7\nWIDTH ${width}\nHEIGHT ${height}\nDEPTH ${channels}\nMAXVAL ${max}\nTUPLTYPE ${channels === 2 ? 'GRAYSCALE_ALPHA' : 'RGB_ALPHA'}\nENDHDR\n`;
    const body = max > 255 ? Buffer.from(data.flatMap(v => [v >> 8, v & 255])) : Buffer.from(data);
    writeFileSync(file, Buffer.concat([Buffer.from(header), body]));
}

/** Eight pixels a byte, 1 is ink. */
export function writeBits(file, {width, height, data}) {
    const rowBytes = Math.ceil(width / 8);
    const body = Buffer.alloc(rowBytes * height);
    data.forEach((v, n) => { if (v === 0) body[Math.floor(n / width) * rowBytes + (n % width >> 3)] |= 128 >> (n % width & 7); });
    writeFileSync(file, Buffer.concat([Buffer.from(`P4\n${width} ${height}\n`), body]));
}

export function read(file) {
    const bytes = readFileSync(file);
    let at = 0;
    const word = () => {
        while (/\s/.test(String.fromCharCode(bytes[at]))) at++;
        let text = '';
        while (!/\s/.test(String.fromCharCode(bytes[at]))) text += String.fromCharCode(bytes[at++]);
        return text;
    };
    const kind = word();
    const head = {};
    if (kind === 'P7') {
        for (let key = word(); key !== 'ENDHDR'; key = word()) head[key] = word();
    } else {
        head.WIDTH = word(); head.HEIGHT = word(); head.MAXVAL = kind === 'P4' ? '1' : word(); head.DEPTH = kind === 'P6' ? '3' : '1';
    }
    at++;
    const [width, height, channels, max] = [head.WIDTH, head.HEIGHT, head.DEPTH, head.MAXVAL].map(Number);
    return picture(width, height, channels, max, (pixel, c) => {
        const n = pixel * channels + c;
        return max > 255 ? bytes[at + 2 * n] * 256 + bytes[at + 2 * n + 1] : bytes[at + n];
    });
}

/** The largest difference of two pictures' samples; text where they are not alike in shape. */
export function difference(a, b) {
    for (const key of ['width', 'height', 'channels', 'max']) if (a[key] !== b[key]) return `${key} ${a[key]} for ${b[key]}`;
    return a.data.reduce((most, v, n) => Math.max(most, Math.abs(v - b.data[n])), 0);
}
