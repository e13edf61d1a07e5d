package galecrest.core.gauge;

/** The library of linear algebra and linear programmes, kept from writing of its hardware profiles to the output. */
public final class LinearLibrary {
    static {
        System.setProperty("shut.up.ojAlgo", "true");
    }

    private LinearLibrary() {}

    /** To be called before the library is first used. */
    public static void quiet() {
        // What there is to do was done when the class was loaded.
    }
}
