package pixeron.step.catalog;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import pixeron.help.Searched;
import pixeron.step.StepType;

/** The words that people type, and the step that comes first. */
class SearchTest {

    private static final String FIRST = """
            add: brightness, brighter, lighten, offset, plus
            subtract: darken, darker, minus
            multiply: factor, amplify
            divide: quotient
            linear: gain, brightness and contrast, affine, bias
            invert: negative, complement, photo negative, reverse, invert
            log: logarithm, dynamic range
            power: gamma, gamma correction, power law, square root, power
            stretch: normalize, normalise, min-max, contrast, linear stretch, rescale levels
            piecewise: tone curve, curve
            clamp: clip, limit, truncate range
            slice: window level, intensity slicing
            quantize: reduce levels, quantise
            posterize: posterise, fewer colours
            bit-plane: least significant bit, LSB, steganography
            bits-and: bitwise and
            bits-or: bitwise or
            bits-xor: xor, exclusive or
            bit-shift: shift, left shift
            depth: 8 bit, bit depth
            lookup: LUT, palette
            formula: expression, equation, custom
            equalize: equalization, equalisation, equalise, histogram, flatten histogram
            match: histogram specification, histogram matching, specify histogram
            threshold: binarize, binarise, black and white, segmentation, threshold
            band: range threshold, double threshold
            threshold-otsu: otsu, between-class variance, automatic threshold
            threshold-iterative: isodata, k-means, iterative
            threshold-percentile: percentile, p-tile, quantile
            threshold-local: adaptive, adaptive threshold, uneven light
            kernel: convolution, convolve, correlation, linear filter
            box: blur, smooth, average, mean, moving average, denoise
            gaussian: Gaussian blur, gaussian filter, sigma
            binomial: Pascal
            sharpen: sharper, crisp, enhance edges
            laplacian: Laplace, second derivative, zero crossing
            unsharp: unsharp masking
            sobel: edge, edges, edge detection, derivative, gradient
            roberts: diagonal gradient
            median: remove specks, nonlinear filter, median
            minimum: min filter, local minimum
            maximum: max filter, local maximum
            rank: order statistic, sorted window
            erode: shrink, morphology, erosion
            dilate: grow, thicken, dilation
            open: opening, morphological open
            close: closing, fill holes
            crop: cut out, trim, subimage
            pad: margin, add rows
            translate: move, displace, pan
            flip: mirror, upside down, horizontal flip
            transpose: swap rows and columns
            tile: copies, mosaic
            rotate: turn, angle, spin, tilt
            resize: scale, zoom, enlarge, resample, bilinear, downsample, interpolation
            combine: blend, two images, difference of images, alpha blending, mix
            paste: stamp, copy region
            join: side by side, concatenate, stitch
            set-pixels: pencil, edit pixel
            line: draw line
            rectangle: draw rectangle
            salt-pepper: salt, pepper, specks, dust
            uniform-noise: random noise, dither
            gaussian-noise: sensor noise, normal noise
            periodic-noise: sine, interference, moire
            fourier: FFT, DFT, spectrum, frequencies, waves
            notch: remove wave, band reject, notch filter
            frequency-filter: low-pass, high-pass, low pass, band-pass, Butterworth, cutoff frequency, frequency
            fourier-inverse: IFFT, inverse DFT, inverse FFT
            low-rank: SVD, PCA, compress, singular values, compression
            gray: grayscale, greyscale, luminance, luma, desaturate, monochrome, grey
            merge: RGB, combine channels, make colour
            convert: HSV, color space, hue, RGB to HSV, CMYK, YCbCr, saturation, color model
            reorder: swap red and blue, BGR, channel order""";

    @Test
    void whatPeopleTypeLeadsToTheStep() {
        SoftAssertions all = new SoftAssertions();
        int[] words = {0};
        FIRST.lines().map(line -> line.split(": ", 2)).forEach(line -> {
            for (String typed : line[1].split(", ")) {
                words[0]++;
                List<StepType> found = Catalog.search(typed);
                all.assertThat(found.isEmpty() ? "nothing" : found.get(0).name()).as(typed).isEqualTo(line[0]);
            }
        });
        all.assertAll();
        assertThat(words[0]).isGreaterThan(150);
    }

    @Test
    void everyStepHasSearchWordsOfItsOwn() {
        assertThat(Catalog.all()).allSatisfy(type -> assertThat(SearchWords.of(type.name())).as(type.name()).hasSizeGreaterThan(1)
                .doesNotHaveDuplicates());
    }

    @Test
    void titlesRankBeforeSearchWordsAndThoseBeforeSentences() {
        Searched found = new Searched("Low-rank approximation", List.of("rank-keep"), List.of("compression", "SVD"), List.of("Keeps the largest values."));
        assertThat(found.rank("low rank approximation")).isEqualTo(found.rank("rank-keep")).isZero();
        assertThat(found.rank("approx")).isLessThan(found.rank("compression"));
        assertThat(found.rank("svd")).isEqualTo(found.rank("compression")).isLessThan(found.rank("compress"));
        assertThat(found.rank("compress")).isLessThan(found.rank("largest"));
        assertThat(found.rank("median")).isEqualTo(Searched.NONE);
        assertThat(new Searched("Gray", List.of(), List.of("color to neutral"), List.of()).rank("Colour")).isEqualTo(4);
    }

    /** A phrase that occurs nowhere is found by its words, after entries that contain the phrase. */
    @Test
    void severalWordsAreFoundOneByOne() {
        Searched resize = new Searched("Resize", List.of("resize"), List.of("scale"), List.of("Makes an image larger or smaller."));
        Searched phrase = new Searched("Other", List.of(), List.of(), List.of("To scale image and frame."));
        assertThat(resize.rank("scale image")).isLessThan(Searched.NONE).isGreaterThan(phrase.rank("scale image"));
        assertThat(resize.rank("image  scale")).isEqualTo(resize.rank("scale image"));
        assertThat(resize.rank("scale zebra")).isEqualTo(Searched.NONE);
    }
}
