/** Values by hand for results with colour: all faces beside each other as one sheet, typed as packed values or three numbers. */
package pixeron.byhand.colour;
