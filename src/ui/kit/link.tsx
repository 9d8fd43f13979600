import NextLink from "next/link";
import type { ComponentProps } from "react";

/**
 * A link that asks the studio for nothing until it is followed: what a list shows is not thereby looked at, and the cores
 * are left to the page in hand.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink prefetch={false} {...props} />;
