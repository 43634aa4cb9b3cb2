package org.ostendum.app.notice;

/** One way out of the house. */
interface Sending {
    NoticeRule.Way way();

    /** @return whether the house has such a way at all */
    boolean isOpen();

    /** @throws SendingFailed where it did not arrive, with what the other side said */
    void send(String address, NoticeMessage message);

    /** It did not go out. */
    final class SendingFailed extends RuntimeException {
        private static final long serialVersionUID = 1L;

        SendingFailed(String told, Throwable cause) {
            super(told, cause);
        }
    }
}
