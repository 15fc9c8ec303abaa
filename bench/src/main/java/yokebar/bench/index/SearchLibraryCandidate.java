package yokebar.bench.index;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field.Store;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.SortedDocValuesField;
import org.apache.lucene.document.StoredField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.facet.FacetsCollector;
import org.apache.lucene.facet.FacetsCollectorManager;
import org.apache.lucene.facet.StringDocValuesReaderState;
import org.apache.lucene.facet.StringValueFacetCounts;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopFieldDocs;
import org.apache.lucene.search.WildcardQuery;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.apache.lucene.util.BytesRef;
import yokebar.core.log.index.Entry;

/** A search library with the whole index in memory: terms for searching, columns for order and counts. */
final class SearchLibraryCandidate implements IndexCandidate {
    private static final String START = "start";
    private static final String ID = "id";

    private final IndexWriter writer;
    private DirectoryReader reader;

    SearchLibraryCandidate() throws IOException {
        writer = new IndexWriter(new ByteBuffersDirectory(), new IndexWriterConfig());
        writer.commit();
        reader = DirectoryReader.open(writer);
    }

    @Override
    public String name() {
        return "search library";
    }

    @Override
    public void add(List<Entry> entries) throws IOException {
        for (Entry entry : entries) {
            Document document = new Document();
            document.add(new LongPoint(START, entry.startSecond()));
            document.add(new NumericDocValuesField(START, entry.startSecond()));
            document.add(new StoredField(ID, entry.id()));
            entry.fields().forEach((name, value) -> {
                document.add(new StringField(name, value.toUpperCase(Locale.ROOT), Store.NO));
                document.add(new SortedDocValuesField(name, new BytesRef(value)));
            });
            writer.addDocument(document);
        }
        DirectoryReader next = DirectoryReader.openIfChanged(reader, writer);
        if (next != null) {
            reader.close();
            reader = next;
        }
    }

    private static Query query(Question question) {
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        all.add(new MatchAllDocsQuery(), Occur.FILTER);
        all.add(LongPoint.newRangeQuery(START, question.fromSecond(), question.untilSecond() - 1), Occur.FILTER);
        question.equal().forEach(field -> all.add(anyOf(field), Occur.FILTER));
        question.not().forEach(field -> all.add(anyOf(field), Occur.MUST_NOT));
        if (!question.callStart().isEmpty()) {
            all.add(new PrefixQuery(new Term("CALL", question.callStart())), Occur.FILTER);
        }
        if (!question.part().isEmpty()) {
            all.add(new WildcardQuery(new Term("QTH", "*" + question.part() + "*")), Occur.FILTER);
        }
        if (!question.word().isEmpty()) {
            BooleanQuery.Builder words = new BooleanQuery.Builder();
            WORD_FIELDS.forEach(
                    field -> words.add(new WildcardQuery(new Term(field, "*" + question.word() + "*")), Occur.SHOULD));
            all.add(words.build(), Occur.FILTER);
        }
        return all.build();
    }

    private static Query anyOf(Field field) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        field.values().forEach(value -> any.add(new TermQuery(new Term(field.name(), value)), Occur.SHOULD));
        return any.build();
    }

    @Override
    public Answer search(Question question) throws IOException {
        IndexSearcher searcher = new IndexSearcher(reader);
        searcher.setQueryCache(null);
        Query query = query(question);
        TopFieldDocs newest = searcher.search(query, 100, new Sort(new SortField(START, SortField.Type.LONG, true)));
        List<Long> ids = new ArrayList<>();
        for (ScoreDoc one : newest.scoreDocs) {
            ids.add(searcher.storedFields()
                    .document(one.doc)
                    .getField(ID)
                    .numericValue()
                    .longValue());
        }
        return new Answer(searcher.count(query), ids);
    }

    @Override
    public int values(Question question, String field) throws IOException {
        IndexSearcher searcher = new IndexSearcher(reader);
        searcher.setQueryCache(null);
        FacetsCollector collected = searcher.search(query(question), new FacetsCollectorManager());
        return new StringValueFacetCounts(new StringDocValuesReaderState(reader, field), collected)
                .getTopChildren(10_000, field)
                .childCount;
    }
}
