package pixeron.image;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.ColorModel.Scale;

/**
 * A picture by the components of a color model, each an image with a maximum and a range of its own, and perhaps transparency.
 *
 * @param model names the components
 * @param scale in which they are written
 * @param maximumLevel M of the color image that it was made of, and of alpha
 * @param components in the order of the model
 * @param alpha 0 is transparent, M is opaque; empty: the picture has no transparency
 */
public record ModelImage(ColorModel model, Scale scale, int maximumLevel, List<Image> components, Optional<Image> alpha) implements Components {

    /**
     * Gives each component its range.
     *
     * @throws PixeronException if the number of components, their sizes or their maxima are not those of the model
     */
    public ModelImage {
        List<Image> within = new ArrayList<>();
        for (int n = 0; n < model.components().size(); n++) {
            String name = model.components().get(n);
            Image image = components.get(n);
            if (!image.frame().isSized(components.get(0).frame()) || image.maximumLevel() != ColorModel.maximum(name, scale, maximumLevel)) {
                throw PixeronException.of("All components must have the same size and the maximum of their scale.");
            }
            within.add(image.within(ColorModel.range(name, scale, maximumLevel)));
        }
        components = List.copyOf(within);
    }

    /** Returns the frame of a component. */
    public static Frame frame(Frame ofColor, String component, Scale scale) {
        int maximumLevel = ofColor.maximumLevel();
        return component.equals(ALPHA) ? ofColor : new Frame(ofColor.rows(), ofColor.columns(), ColorModel.maximum(component, scale, maximumLevel),
                ColorModel.range(component, scale, maximumLevel));
    }

    @Override
    public ModelImage with(List<Image> faces) {
        int count = components.size();
        return new ModelImage(model, scale, maximumLevel, faces.subList(0, count), faces.size() > count ? Optional.of(faces.get(count)) : Optional.empty());
    }

    @Override
    public List<String> unnamed() {
        return List.of();
    }

    /** Returns the component that is most like a gray picture: value, lightness, luma, or key. */
    public Image brightness() {
        return components.get(model == ColorModel.YCBCR ? 0 : components.size() - 1);
    }

    @Override
    public List<Face> inCells() {
        return faces().subList(0, components.size());
    }

    @Override
    public boolean matches(Result other) {
        return other instanceof ModelImage image && image.model == model && image.scale == scale && image.maximumLevel == maximumLevel;
    }

    /** Returns size, and M of the color image. */
    @Override
    public Frame frame() {
        return new Frame(components.get(0).rows(), components.get(0).columns(), maximumLevel);
    }

    @Override
    public String kind() {
        return "a model image (" + model.word() + ")";
    }

    @Override
    public List<Face> faces() {
        List<Face> faces = new ArrayList<>();
        for (int n = 0; n < components.size(); n++) {
            faces.add(new Face(model.components().get(n), components.get(n)));
        }
        alpha.ifPresent(image -> faces.add(new Face(ALPHA, image)));
        return faces;
    }
}
