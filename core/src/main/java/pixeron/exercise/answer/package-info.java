/** What is filled in: a table with the blanks of a variant, as text or spreadsheet, and what comes back of it. */
package pixeron.exercise.answer;
