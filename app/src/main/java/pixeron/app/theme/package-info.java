/** How it looks: the colors of the three roles, light and dark, type sizes, fonts, icons with words. */
package pixeron.app.theme;
