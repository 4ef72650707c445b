/**
 * An image and its steps, in order, with every result kept until something before it changes.
 *
 * <p>A {@link pixeron.chain.Chain} is immutable and made of {@link pixeron.chain.Stage}s, each linked to the one before
 * it. A changed chain shares the stages in front of the change with the old one, and with them their results; so undo
 * finds the old results still there.
 */
package pixeron.chain;
