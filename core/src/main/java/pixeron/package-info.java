/** The root of the core: only {@link pixeron.PixeronException}, which every room below may throw. */
package pixeron;
