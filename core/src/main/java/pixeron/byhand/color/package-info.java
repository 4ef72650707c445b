/** Values by hand for results with color: all faces beside each other as one sheet, typed as packed values or three numbers. */
package pixeron.byhand.color;
