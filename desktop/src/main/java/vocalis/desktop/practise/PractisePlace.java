package vocalis.desktop.practise;

import vocalis.desktop.session.Place;

/** The place of the Practise screen: a stretch of the song, round and round. */
public enum PractisePlace implements Place {
    PAGE;

    @Override
    public String words() {
        return "Practise";
    }
}
