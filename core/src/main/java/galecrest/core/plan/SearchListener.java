package galecrest.core.plan;

/** Watches a long planning, and can end it: the best plan so far is then the result. Called by several threads. */
public interface SearchListener {
    /**
     * Told now and then how far it is.
     *
     * @param steps schedules made so far by one of the searches
     * @param best the best score that it has found
     * @return whether to go on
     */
    boolean goOn(long steps, Score best);
}
