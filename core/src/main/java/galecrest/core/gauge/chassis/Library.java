package galecrest.core.gauge.chassis;

/** The library of linear algebra and linear programmes, kept from writing of its hardware profiles to the output. */
final class Library {
    static {
        System.setProperty("shut.up.ojAlgo", "true");
    }

    private Library() {}

    /** To be called before the library is first used. */
    static void quiet() {
        // What there is to do was done when the class was loaded.
    }
}
