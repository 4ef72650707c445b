/** An expression that a user wrote as an answer, held against the right one part by part. */
package pixeron.byhand.parts;
