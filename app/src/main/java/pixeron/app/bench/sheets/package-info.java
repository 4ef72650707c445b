/** Before, After and By hand beside each other, and what keys and dragging do on them. */
package pixeron.app.bench.sheets;
