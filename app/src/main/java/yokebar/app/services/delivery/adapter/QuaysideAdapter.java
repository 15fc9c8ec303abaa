package yokebar.app.services.delivery.adapter;

import java.net.URI;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import yokebar.core.basics.picture.PictureFormat;
import yokebar.core.basics.picture.PictureScaling;
import yokebar.core.basics.picture.UnreadablePictureException;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.services.delivery.ServiceRules;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.Submission;
import yokebar.links.services.identity.SigningKey;
import yokebar.links.services.quayside.QuaysideClient;

/** The online log Quayside, contact by contact; edits and deletions follow. */
@Component
class QuaysideAdapter implements ServiceAdapter {
    private static final ServiceRules RULES = ServiceRules.of("Quayside");
    private static final Set<PictureFormat> PICTURE_FORMATS = EnumSet.of(PictureFormat.PNG, PictureFormat.JPEG);
    private static final int MAX_PICTURE_BYTES = 800_000;
    private static final TypeReference<List<QuaysideClient.Push>> PUSHES = new TypeReference<>() {};

    private final JsonMapper json;

    QuaysideAdapter(JsonMapper json) {
        this.json = json;
    }

    @Override
    public ServiceRules rules() {
        return RULES;
    }

    @Override
    public Access access() {
        return new Access(null, "API key", "From your pages at Quayside. It is not your password there.");
    }

    @Override
    public boolean showsPictures() {
        return true;
    }

    /** Few, so that one handover is through within seconds even when the service slows us down. */
    @Override
    public int maxBatchSize() {
        return 20;
    }

    @Override
    public AdifFields render(Contact contact) {
        return ContactAdif.write(contact).without(name -> name.startsWith("APP_") || name.contains("QSL_"));
    }

    @Override
    public byte[] pack(List<Parcel> parcels, @Nullable SigningKey key) {
        List<QuaysideClient.Push> pushes = new ArrayList<>();
        for (Parcel parcel : parcels) {
            pushes.add(new QuaysideClient.Push(parcel.number(), AdiWriter.text(parcel.fields())));
        }
        return json.writeValueAsBytes(pushes);
    }

    @Override
    public Line line(Account account) {
        QuaysideClient client = new QuaysideClient(URI.create(account.address()), account.password());
        return new Line() {
            @Override
            public String test() throws ServiceRefused, ServiceUnreachable {
                return client.test();
            }

            @Override
            public Submission submit(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
                return client.push(json.readValue(content, PUSHES), idempotencyKey);
            }

            @Override
            public @Nullable Submission arrived(byte[] content, String idempotencyKey)
                    throws ServiceRefused, ServiceUnreachable {
                return client.arrived(json.readValue(content, PUSHES).size(), idempotencyKey);
            }

            @Override
            public void withdraw(String number) throws ServiceRefused, ServiceUnreachable {
                client.withdraw(number);
            }

            @Override
            public void putPicture(String number, byte[] content) throws ServiceRefused, ServiceUnreachable {
                try {
                    PictureScaling.Encoded sent = PictureScaling.within(content, PICTURE_FORMATS, MAX_PICTURE_BYTES);
                    client.putPicture(number, sent.format().mediaType(), sent.content());
                } catch (UnreadablePictureException e) {
                    throw new ServiceRefused(
                            ServiceRefused.About.CONTENT,
                            "picture not readable",
                            e.sentence(),
                            "Choose another picture.");
                }
            }

            @Override
            public void takePictureAway(String number) throws ServiceRefused, ServiceUnreachable {
                client.takePictureAway(number);
            }
        };
    }
}
