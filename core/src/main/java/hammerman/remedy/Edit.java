package hammerman.remedy;

import hammerman.design.Design;

/**
 * A change of a design.
 *
 * @param what is done, in words
 * @param design with it done
 */
record Edit(String what, Design design) {}
