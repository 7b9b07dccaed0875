package fahrbahn.store.file;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.function.BiConsumer;

/**
 * Rows of tables read straight from the pages of a database file, whatever has become of the trees that hold the pages together:
 * "Database File Format", sections 1.6 (pages), 2.1 (records), of the SQLite documentation. What makes no sense is passed over.
 */
public final class PageScan {
    private static final int HEADER = 100;
    private static final int USUAL_PAGE = 4096;
    private static final int TABLE_LEAF = 0x0d;
    private static final int LEAF_HEADER = 8;

    /** A row with more columns than any table of a season has is none. */
    private static final int MOST_COLUMNS = 16;

    private final byte[] file;
    private final int pageSize;
    private final int usable;

    /** Pages that a row goes on in: each belongs to one row, so that rows that claim them twice, or in a circle, are none. */
    private final BitSet taken = new BitSet();

    /** Bytes of the page at hand that no row of it has claimed yet: rows lie beside each other, never one in another. */
    private int unclaimed;

    public PageScan(byte[] file) {
        this.file = file;
        int said = file.length < HEADER ? 0 : (file[16] & 0xff) << 8 | file[17] & 0xff;
        int size = said == 1 ? 65_536 : said;
        boolean sensible = size >= 512 && Integer.bitCount(size) == 1;
        this.pageSize = sensible ? size : USUAL_PAGE;
        int reserved = sensible ? file[20] & 0xff : 0;
        this.usable = pageSize - (reserved < 64 ? reserved : 0);
    }

    /** So many pages less than its header says the file has; 0 where it has all, or the header says nothing. */
    public long missingPages() {
        if (file.length < HEADER || u32(24) != u32(92)) {
            return 0; // written by an engine that did not keep the number
        }
        return Math.max(0, u32(28) - file.length / pageSize);
    }

    /** How many pages the header says there are. */
    public long pages() {
        return file.length < HEADER ? 0 : u32(28);
    }

    private long u32(int at) {
        return (long) u16(at) << 16 | u16(at + 2);
    }

    /** Every row that can be made sense of, with its number. Values are Long, String or null; anything else makes it no row of ours. */
    public void rows(BiConsumer<Long, List<Object>> found) {
        for (int page = 0; (page + 1L) * pageSize <= file.length; page++) {
            int start = page * pageSize;
            int top = page == 0 ? start + HEADER : start;
            if ((file[top] & 0xff) == TABLE_LEAF) {
                int cells = u16(top + 3);
                unclaimed = usable;
                for (int i = 0; i < cells && top + LEAF_HEADER + 2 * i + 1 < start + usable; i++) {
                    cell(start, u16(top + LEAF_HEADER + 2 * i), found);
                }
            }
        }
    }

    private int u16(int at) {
        return (file[at] & 0xff) << 8 | file[at + 1] & 0xff;
    }

    private void cell(int start, int offset, BiConsumer<Long, List<Object>> found) {
        try {
            Cursor cursor = new Cursor(file, start + offset, start + usable);
            long payload = cursor.varint();
            long number = cursor.varint();
            if (payload > 0 && payload <= file.length && offset < usable) {
                List<Object> row = record(payload(cursor, (int) payload));
                if (row != null) {
                    found.accept(number, row);
                }
            }
        } catch (IndexOutOfBoundsException nonsense) {
            // A cell that leads out of its page is none.
        }
    }

    /** What is in the page and, from there on, in a chain of further pages. */
    private byte[] payload(Cursor cursor, int length) {
        int most = usable - 35;
        int least = (usable - 12) * 32 / 255 - 23;
        int fitting = least + (length - least) % (usable - 4);
        int local = length <= most ? length : fitting <= most ? fitting : least;
        if (local > unclaimed || length - local > freeBytes()) {
            throw new IndexOutOfBoundsException("no room for " + length);
        }
        unclaimed -= local;
        byte[] whole = new byte[length];
        cursor.bytes(whole, 0, local);
        int filled = local;
        BitSet its = new BitSet();
        long next = filled < length ? cursor.u32() : 0;
        while (filled < length) {
            if (next < 1 || next * pageSize > file.length || taken.get((int) next) || its.get((int) next)) {
                throw new IndexOutOfBoundsException("page " + next);
            }
            its.set((int) next);
            int start = (int) (next - 1) * pageSize;
            Cursor page = new Cursor(file, start, start + usable);
            next = page.u32();
            int here = Math.min(usable - 4, length - filled);
            page.bytes(whole, filled, here);
            filled += here;
        }
        taken.or(its);
        return whole;
    }

    private long freeBytes() {
        return (long) (file.length / pageSize - taken.cardinality()) * (usable - 4);
    }

    /** Null when it is no record of whole numbers and texts. */
    private static List<Object> record(byte[] payload) {
        Cursor header = new Cursor(payload, 0, payload.length);
        long headerSize = header.varint();
        if (headerSize < 1 || headerSize > payload.length) {
            return null;
        }
        Cursor body = new Cursor(payload, (int) headerSize, payload.length);
        List<Object> values = new ArrayList<>();
        while (header.at() < headerSize) {
            long type = header.varint();
            if (values.size() == MOST_COLUMNS) {
                return null;
            }
            if (type == 0) {
                values.add(null);
            } else if (type >= 1 && type <= 6) {
                values.add(body.signed(type == 6 ? 8 : type == 5 ? 6 : (int) type));
            } else if (type == 8 || type == 9) {
                values.add(type - 8);
            } else if (type >= 13 && type % 2 == 1 && (type - 13) / 2 <= payload.length) {
                String text = text(payload, body.skip((int) ((type - 13) / 2)), (int) ((type - 13) / 2));
                if (text == null) {
                    return null;
                }
                values.add(text);
            } else {
                return null;
            }
        }
        return values;
    }

    private static String text(byte[] bytes, int from, int length) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes, from, length))
                    .toString();
        } catch (CharacterCodingException noText) {
            return null;
        }
    }

    /** Reads on; beyond its end there is nothing. */
    private static final class Cursor {
        private final byte[] bytes;
        private final int end;
        private int at;

        Cursor(byte[] bytes, int at, int end) {
            this.bytes = bytes;
            this.at = at;
            this.end = Math.min(end, bytes.length);
        }

        int at() {
            return at;
        }

        int skip(int count) {
            if (count < 0 || count > end - at) {
                throw new IndexOutOfBoundsException(at + " + " + count);
            }
            at += count;
            return at - count;
        }

        private int u8() {
            return bytes[skip(1)] & 0xff;
        }

        /** Seven bits a byte, the last of nine eight. */
        long varint() {
            long value = 0;
            for (int i = 0; i < 8; i++) {
                int part = u8();
                value = value << 7 | part & 0x7f;
                if (part < 0x80) {
                    return value;
                }
            }
            return value << 8 | u8();
        }

        long u32() {
            return signed(4) & 0xffff_ffffL;
        }

        long signed(int count) {
            long value = bytes[skip(count)];
            for (int i = at - count + 1; i < at; i++) {
                value = value << 8 | bytes[i] & 0xff;
            }
            return value;
        }

        void bytes(byte[] into, int from, int count) {
            System.arraycopy(bytes, skip(count), into, from, count);
        }
    }
}
