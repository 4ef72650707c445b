package pixeron.step.catalog;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What people call the steps besides their titles. A new step gets a line here. */
final class SearchWords {

    private static final Map<String, List<String>> WORDS = """
            add: brightness, brighter, lighten, plus, offset, increase
            subtract: darken, darker, minus, decrease, dim
            multiply: contrast, gain, factor, times, scale values, amplify
            divide: quotient, reduce contrast, scale down values
            linear: brightness and contrast, affine, gain, bias
            invert: complement, inverse, reverse, photo negative, invert
            log: logarithm, dynamic range, compress range, ln
            exponential: antilog, exp, inverse logarithm
            power: gamma correction, gamma, power law, exponent, square root, display curve
            stretch: normalize, min-max, rescale levels, linear stretch, percentile stretch, expand contrast
            piecewise: tone curve, curve, polyline, piecewise linear, segments
            clamp: clip, limit, saturate values, cap, truncate range
            slice: gray-level slicing, intensity slicing, highlight range, window level
            quantize: reduce levels, few levels, banding, uniform quantization, bits per pixel
            posterize: poster, multilevel threshold, fewer colors
            bit-plane: binary digit, steganography, least significant bit, LSB, bit slicing
            bits-and: mask bits, bitwise and, logical and
            bits-or: set bits, bitwise or, logical or
            bits-xor: flip bits, bitwise xor, exclusive or
            bit-shift: left shift, right shift, double, halve
            depth: 8 bit, 16 bit, number of bits, convert levels, maximum level
            lookup: LUT, table of levels, mapping table, palette
            formula: expression, equation, function, custom, calculate, math
            equalize: equalization, flatten histogram, histogram, global equalization, HE
            match: histogram specification, specify histogram, target histogram
            threshold: binarize, black and white, binary image, segmentation, cutoff, global threshold
            band: range threshold, double threshold, in range, color key
            threshold-otsu: automatic threshold, between-class variance, two classes, auto threshold, discriminant
            threshold-iterative: isodata, two means, k-means, intermeans, automatic iteration
            threshold-percentile: p-tile, quantile, percentage of black pixels, share
            threshold-local: adaptive, adaptive threshold, local mean, uneven light, shading
            kernel: convolution, convolve, correlation, linear filter, custom filter, mask weights, FIR, weighted sum
            box: blur, smooth, average, mean, denoise, low-pass spatial, moving average, soften
            binomial: Pascal, binomial smoothing, smooth blur
            gaussian: Gaussian blur, soft blur, sigma, normal distribution smoothing
            sharpen: sharper, crisp, enhance edges, high boost
            laplacian: second derivative, edge Laplace, zero crossing, curvature
            unsharp: unsharp masking, enhance detail, sharpen by blur
            sobel: edge, edges, derivative, edge detection, edge detector, gradient, first derivative, slope
            prewitt: edge operator, derivative filter, gradient filter
            scharr: rotation-invariant gradient, derivative operator
            roberts: diagonal gradient, cross operator, diagonal edges
            median: remove specks, remove salt and pepper, rank median, impulse noise, nonlinear filter
            minimum: darkest neighbor, min filter, local minimum
            maximum: brightest neighbor, max filter, local maximum
            rank: order statistic, percentile filter, k-th smallest, sorted window
            erode: shrink, morphology, thin, structuring element, shrink bright
            dilate: grow, thicken, expand, enlarge bright, structuring element
            open: remove bright specks, erode then dilate, morphological open
            close: fill holes, dilate then erode, morphological close, fill dark specks
            crop: cut out, trim, region, cut, part of image, subimage
            pad: border, margin, add rows, extend, frame around
            translate: move, shift image, displace, offset image, pan
            flip: mirror, reflect, upside down, left right, horizontal flip, vertical flip
            transpose: swap rows and columns, diagonal mirror
            tile: repeat, copies, pattern, mosaic, montage
            rotate: turn, spin, angle, tilt, straighten
            resize: scale, zoom, enlarge, shrink image, resample, interpolation, bilinear, nearest neighbor, downsample, upsample, size
            combine: blend, difference of images, sum of images, two images, arithmetic, mix, overlay, change detection, alpha blending
            paste: insert, stamp, copy region, collage
            join: side by side, concatenate, stitch, append, put together
            set-pixels: draw pixel, pencil, single pixel, edit pixel, point
            line: draw line, straight line
            rectangle: draw rectangle, box outline, fill rectangle, square
            salt-pepper: impulse noise, specks, dust, shot noise
            uniform-noise: random noise, dither, white noise
            gaussian-noise: normal noise, random, sensor noise, white Gaussian
            periodic-noise: sine, wave, interference, stripes, hum, moire
            fourier: FFT, DFT, spectrum, frequency, frequencies, transform, discrete Fourier transform, waves
            notch: remove frequency, band reject, remove wave, remove periodic noise, remove interference
            frequency-filter: low-pass, high-pass, band-pass, band-stop, ideal filter, Butterworth, Gaussian low-pass, cutoff frequency
            fourier-inverse: IFFT, IDFT, back transform, inverse DFT, inverse FFT, reconstruct
            low-rank: SVD, PCA, compress, compression, singular values, truncated, eigen, rank k, decomposition, approximation
            gray: grayscale, luminance, luma, desaturate, black and white photo, monochrome, convert to gray, lightness, intensity
            merge: combine channels, RGB, compose color, make color, color from channels
            convert: HSV, HSL, HSB, HSI, CMYK, YCbCr, YUV, hue, saturation, brightness, value, lightness, color space, color model, chroma, RGB to HSV
            reorder: swap red and blue, channel order, BGR, permute channels, swap channels""".lines().map(line -> line.split(": ", 2))
            .collect(Collectors.toUnmodifiableMap(line -> line[0], line -> List.of(line[1].split(", "))));

    private SearchWords() {
    }

    /** Returns the search words of a step; empty if it has none. */
    static List<String> of(String step) {
        return WORDS.getOrDefault(step, List.of());
    }
}
