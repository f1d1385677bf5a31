/** Made by ./cove api from what the server says of itself; not written by hand. */
import type * as core from '@cove/core';
export interface paths {
    readonly "/api/account": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Make an account, or choose a new password, with a link; signs in */
        readonly post: operations["AccountController_use"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/account/link": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Send a link to make an account or choose a new password; says nothing of either */
        readonly post: operations["AccountController_askLink"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/account/link/look": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Whose link it is */
        readonly post: operations["AccountController_look"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/account/name": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Change the name others see */
        readonly put: operations["AccountController_rename"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/account/password": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Change the password; every other session ends */
        readonly put: operations["AccountController_setPassword"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/account/sessions": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Where one is signed in */
        readonly get: operations["AccountController_sessions"];
        readonly put?: never;
        readonly post?: never;
        /** End every other session */
        readonly delete: operations["AccountController_endOthers"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/account/sessions/{session}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        readonly post?: never;
        /** End one session */
        readonly delete: operations["AccountController_end"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/demo": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Whether there is a demo to enter */
        readonly get: operations["DemoController_offered"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/demo/session": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Enter the demo; answers with a session cookie */
        readonly post: operations["DemoController_enter"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/guides": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Guides that one has kept */
        readonly get: operations["KeptGuidesController_list"];
        readonly put?: never;
        /** Keep the guide of a site that one designs */
        readonly post: operations["KeptGuidesController_keep"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/guides/{guide}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** A kept guide with all its records */
        readonly get: operations["KeptGuidesController_read"];
        readonly put?: never;
        readonly post?: never;
        /** Forget a kept guide; sites that took it keep what they took */
        readonly delete: operations["KeptGuidesController_forget"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/guides/{guide}/files": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Give the fonts and pictures of a kept guide to a site that one designs */
        readonly post: operations["KeptGuidesController_giveFiles"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/health": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Whether the server and its database answer */
        readonly get: operations["HealthController_health"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/invitations/accept": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Join the site a link invites to */
        readonly post: operations["InvitationController_accept"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/invitations/look": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** What a link invites to */
        readonly post: operations["InvitationController_look"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/outbox": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Simulated mail to one’s own address, and of the sites where one is a designer */
        readonly get: operations["OutboxController_mine"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/outbox/open": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** All simulated mail; only where COVE_OUTBOX is open */
        readonly get: operations["OutboxController_everything"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/outside/address": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** What is found at a web address, through the simulated outside */
        readonly get: operations["OutsideController_address"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/outside/pictures": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Pictures of the simulated library, those with all the words where some are given */
        readonly get: operations["OutsideController_pictures"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/outside/pictures/{picture}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** One of them */
        readonly get: operations["OutsideController_picture"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sections": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Sections that one has kept, with all they hold */
        readonly get: operations["KeptSectionsController_list"];
        readonly put?: never;
        /** Keep a section of a site that one designs */
        readonly post: operations["KeptSectionsController_keep"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sections/{section}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        readonly post?: never;
        /** Forget a kept section; pages that took it keep what they took */
        readonly delete: operations["KeptSectionsController_forget"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/session": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Who is signed in */
        readonly get: operations["SessionController_who"];
        readonly put?: never;
        /** Sign in; answers with a session cookie */
        readonly post: operations["SessionController_signIn"];
        /** Sign out */
        readonly delete: operations["SessionController_signOut"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Sites one is a member of, the one changed last first */
        readonly get: operations["SiteListController_list"];
        readonly put?: never;
        /** Begin a site of a ready one, in its guide or another, as its designer → {id} */
        readonly post: operations["NewSitesController_create"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** A whole site */
        readonly get: operations["SitesController_get"];
        readonly put?: never;
        readonly post?: never;
        /** Delete a site with all its releases, for good */
        readonly delete: operations["SiteListController_remove"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/archived": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Lay a site aside, or take it up again */
        readonly put: operations["SiteListController_archive"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/assets": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Make a picture anew and keep it; answers its facts, to be put as a record */
        readonly post: operations["SitePicturesController_upload"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/assets/{file}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** A stored picture, or a file */
        readonly get: operations["SitePicturesController_picture"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/assets/files": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Keep a file to be linked to as it is; answers its facts, to be put as a record */
        readonly post: operations["SitePicturesController_uploadFile"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/changes": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Accepted changes after a number, oldest first */
        readonly get: operations["SitesController_read"];
        readonly put?: never;
        /** Alter a site */
        readonly post: operations["SitesController_change"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/copies": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Begin a site as a copy of this one; releases and people stay behind → {id} */
        readonly post: operations["SiteListController_copy"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/events": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** What happens at a site, as server-sent events; replays after Last-Event-ID */
        readonly get: operations["SitesController_stream"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/export.zip": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** The draft or a release as plain files; of the draft it answers with what cannot be rendered, where there is such */
        readonly get: operations["ViewsController_zip"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/fonts": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Read and keep a font; answers what it says of itself, to be put as a record */
        readonly post: operations["SiteFontsController_upload"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/fonts/{file}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** A font of the site’s own */
        readonly get: operations["SiteFontsController_font"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/guide/{file}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** The guide in one of its open formats, of the draft or of a release */
        readonly get: operations["ViewsController_guideFile"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/invitations": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Invitations that are open */
        readonly get: operations["PeopleController_open"];
        readonly put?: never;
        /** Invite by a link; it is sent, and answered once */
        readonly post: operations["PeopleController_invite"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/invitations/{invitation}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        readonly post?: never;
        /** Take an invitation back */
        readonly delete: operations["PeopleController_takeBack"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/keeper": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Choose what a keeper may change */
        readonly put: operations["PeopleController_setKeeperMay"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/live": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Show visitors another release */
        readonly put: operations["ReleasesController_live"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/members": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Who belongs to the site, and as what */
        readonly get: operations["PeopleController_list"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/members/{account}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Give a member another role */
        readonly put: operations["PeopleController_setRole"];
        readonly post?: never;
        /** Take a member out */
        readonly delete: operations["PeopleController_remove"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/members/me": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        readonly post?: never;
        /** Leave the site */
        readonly delete: operations["PeopleController_leave"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/name": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Rename a site */
        readonly put: operations["SiteListController_rename"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/pages/{page}/preview": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** A page with its CSS inside and its parts marked; runs nothing */
        readonly get: operations["ViewsController_preview"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/palette": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** The main colours of a site */
        readonly get: operations["SiteListController_palette"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/presence": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        /** Tell the others where one is; again every half minute */
        readonly put: operations["SitesController_here"];
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/presence/{client}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        readonly post?: never;
        /** Tell the others that one has left */
        readonly delete: operations["SitesController_leave"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/releases": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Releases, newest first, with their progress */
        readonly get: operations["ReleasesController_list"];
        readonly put?: never;
        /** Publish the draft in the background */
        readonly post: operations["ReleasesController_publish"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/snapshots": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Snapshots of a site, the newest first */
        readonly get: operations["SnapshotsController_list"];
        readonly put?: never;
        /** Keep the site as it is now */
        readonly post: operations["SnapshotsController_keep"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/snapshots/{snapshot}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        readonly post?: never;
        /** Forget a snapshot */
        readonly delete: operations["SnapshotsController_forget"];
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/snapshots/{snapshot}/guide": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** The guide of a snapshot, to be compared and taken over in parts */
        readonly get: operations["SnapshotsController_guide"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/snapshots/{snapshot}/restore": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Go back to a snapshot, whole or its guide alone; answers the number of the change */
        readonly post: operations["SnapshotsController_restore"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/thread": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** Where a value comes from, through what, and what it hides */
        readonly get: operations["ViewsController_thread"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/tokens": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** The tokens as Design Tokens Format Module 2025.10 */
        readonly get: operations["ViewsController_tokens"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/whole": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Lay a whole site that is sent over this one, which is kept as a snapshot; answers as above */
        readonly post: operations["WholeSiteController_replace"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/{site}/whole.zip": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** The whole site as JSON with its pictures and fonts; the same bytes for the same site */
        readonly get: operations["WholeSiteController_pack"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/api/sites/whole": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly get?: never;
        readonly put?: never;
        /** Begin a site as a whole one that is sent: lines of {progress}, then {result: {id}} or {problem} */
        readonly post: operations["WholeSiteController_begin"];
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
    readonly "/fonts/{file}": {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        /** A font shipped with the program */
        readonly get: operations["ShippedFontsController_font"];
        readonly put?: never;
        readonly post?: never;
        readonly delete?: never;
        readonly options?: never;
        readonly head?: never;
        readonly patch?: never;
        readonly trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        readonly AcceptedChangeDto: {
            /** @description The last change its maker had seen */
            readonly base: number;
            /** @description Who made it; null for what the program did itself */
            readonly by: string | null;
            readonly edits: readonly components["schemas"]["Edit"][];
            /** @description What its maker called it */
            readonly id: string;
            /**
             * @description Why the whole site is another since, where it is: nobody can replay such a change
             * @enum {string}
             */
            readonly resets?: "upgrade" | "restore";
            /** @description The schema its edits have */
            readonly schema: number;
            /** @description Its number */
            readonly seq: number;
        };
        readonly ArchiveDto: {
            /** @description Whether it is laid aside, or back among the others */
            readonly archived: boolean;
        };
        /**
         * Format: @cove/core
         * @description What is known of a kept picture or file: {file, mime, width, height}
         */
        readonly AssetFacts: core.AssetFacts;
        readonly BriefDto: {
            /** @description Whom the site is for */
            readonly audience?: string;
            /** @description What it feels like, and what it never does */
            readonly character?: string;
            /** @description Content that is still to come, each a line */
            readonly missing?: readonly string[];
            /** @description What visitors come to find or do */
            readonly visitors?: string;
        };
        readonly ChangeDto: {
            /** @description The last change its maker had seen: what came between met it unseen */
            readonly base?: number;
            readonly edits: readonly components["schemas"]["Edit"][];
            /** @description Made by the client; the same id twice is accepted once. */
            readonly id: string;
            /** @description The schema its edits were made under, where that is an earlier one */
            readonly schema?: number;
        };
        /**
         * Format: @cove/core
         * @description Sections or widgets with all they hold, and what they refer to
         */
        readonly Clip: core.Clip;
        readonly DemoDto: {
            /** @description Whether there is a demo to enter */
            readonly offered: boolean;
        };
        /**
         * Format: @cove/core
         * @description Tokens as Design Tokens Format Module 2025.10
         */
        readonly DesignTokens: core.DesignTokens;
        /**
         * Format: @cove/core
         * @description put {record}, set {id, path, value}, unset {id, path} or remove {id}
         */
        readonly Edit: core.Edit;
        /**
         * Format: @cove/core
         * @description What a kept font says of itself: a font record without id, kind and category
         */
        readonly FontFacts: core.FontFacts;
        readonly GiveFilesDto: {
            /** @description Site that takes the guide */
            readonly site: string;
        };
        /**
         * Format: @cove/core
         * @description A whole guide: its records and what a site chooses of it
         */
        readonly GuideData: core.GuideData;
        readonly HealthDto: {
            readonly program: string;
            readonly status: string;
        };
        readonly HereDto: {
            /** @description Names this tab */
            readonly client: string;
            /** @description Id of what is selected */
            readonly node?: string;
            /** @description Id of the open page */
            readonly page?: string;
            /** @enum {string} */
            readonly station: "guide" | "pages" | "release";
        };
        readonly InvitationDto: {
            readonly email: string;
            /** Format: date-time */
            readonly expiresAt: string;
            readonly id: string;
            /** @enum {string} */
            readonly role: "designer" | "keeper" | "reviewer";
        };
        readonly InvitedDto: {
            readonly link: string;
        };
        readonly InviteDto: {
            /** @example ines@tolvane.example */
            readonly email: string;
            /** @enum {string} */
            readonly role: "designer" | "keeper" | "reviewer";
        };
        readonly InvitedToDto: {
            /** @description Address it was sent to */
            readonly email: string;
            /** @description Name of the site */
            readonly name: string;
            /** @enum {string} */
            readonly role: "designer" | "keeper" | "reviewer";
            readonly site: string;
        };
        readonly JoinedDto: {
            readonly site: string;
        };
        readonly KeeperDto: {
            /**
             * @description The most a keeper of this site may change
             * @enum {string}
             */
            readonly keeperMay: "content" | "choice" | "style";
        };
        readonly KeepGuideDto: {
            /** @description Its character, in a line */
            readonly about: string;
            /** @description Its name; one of the same name becomes a newer version of it */
            readonly name: string;
            /** @description Site whose guide is kept */
            readonly site: string;
        };
        readonly KeepSectionDto: {
            /** @description Its name; one of the same name is replaced */
            readonly name: string;
            /** @description The section */
            readonly section: string;
            /** @description Site it stands in */
            readonly site: string;
        };
        readonly KeptGuideDto: {
            /** @description Its character, in a line */
            readonly about: string;
            /** Format: date-time */
            readonly createdAt: string;
            /** @description Site it was kept from */
            readonly fromSite: string;
            readonly id: string;
            readonly name: string;
            /** @description Counted from 1; one more each time it is kept again */
            readonly version: number;
        };
        readonly KeptSectionDto: {
            /** Format: date-time */
            readonly createdAt: string;
            readonly id: string;
            readonly name: string;
        };
        readonly KeptSnapshotDto: {
            readonly id: string;
            /** @description The change up to which it holds the site */
            readonly seq: number;
        };
        readonly LastChangeDto: {
            /** Format: date-time */
            readonly at: string;
            /** @description Null for what the program did itself */
            readonly by: string | null;
            /** @description Whether it was the caller */
            readonly own: boolean;
        };
        readonly LetterDto: {
            readonly body: string;
            readonly id: number;
            readonly recipient: string;
            /** Format: date-time */
            readonly sentAt: string;
            readonly subject: string;
        };
        readonly LibraryPictureDto: {
            readonly alt: string;
            readonly id: string;
            readonly name: string;
            readonly subjects: readonly string[];
        };
        readonly LinkDto: {
            /** @example ines@tolvane.example */
            readonly email: string;
            /** @description An invitation to come back to */
            readonly invitation?: string;
        };
        readonly LinkOwnerDto: {
            readonly email: string;
            /** @description Whether there is an account already */
            readonly known: boolean;
            /** @description Its name; empty where there is none */
            readonly name: string;
        };
        readonly LinkSentDto: {
            readonly sent: boolean;
        };
        readonly LiveDto: {
            /** @description The release that visitors shall see */
            readonly release: string;
        };
        readonly LiveReleaseDto: {
            /** @description How many changes were made after it */
            readonly changesSince: number;
            readonly number: number;
        };
        readonly MadeSiteDto: {
            readonly id: string;
        };
        readonly MemberDto: {
            readonly account: string;
            readonly email: string;
            readonly name: string;
            /** @enum {string} */
            readonly role: "designer" | "keeper" | "reviewer";
        };
        readonly NameDto: {
            readonly name: string;
        };
        readonly NewSiteDto: {
            /** @description The brand whose guide it has, in the place of the guide of the ready site */
            readonly brand?: {
                readonly [key: string]: unknown;
            };
            readonly brief?: components["schemas"]["BriefDto"];
            /** @description The kept guide that it has in that place */
            readonly keptGuide?: string;
            /** @description What the site is called */
            readonly name: string;
            /** @description A site of one’s own whose pages it has, made neutral, in the place of those of the ready site */
            readonly ownSite?: string;
            /** @description The ready-made guide that it has in that place */
            readonly readyGuide?: string;
            /** @description The ready site it begins as */
            readonly starter: string;
        };
        readonly Object: Record<string, never>;
        readonly OrderedReleaseDto: {
            readonly id: string;
            /** @description Counted from 1 for each site */
            readonly number: number;
        };
        readonly PaletteDto: {
            /** @description Colours by which the site is known again, as CSS */
            readonly colors: readonly string[];
        };
        readonly PasswordDto: {
            readonly current: string;
            readonly password: string;
        };
        readonly PersonDto: {
            readonly email: string;
            /** @description The name others see */
            readonly name: string;
        };
        readonly PlaceDto: {
            /** @description Id of what is selected */
            readonly node?: string;
            /** @description Id of the open page */
            readonly page?: string;
            /** @enum {string} */
            readonly station: "guide" | "pages" | "release";
        };
        readonly PresenceDto: {
            readonly account: string;
            /** @description Names the tab */
            readonly client: string;
            readonly name: string;
            /** @description Null for one who has left */
            readonly place: components["schemas"]["PlaceDto"] | null;
        };
        /**
         * Format: @cove/core
         * @description Why something was refused, or failed: {code, message, …}
         */
        readonly Problem: core.Problem;
        readonly PublishDto: {
            /** @description Publish the rest where something cannot be rendered */
            readonly leaveOut?: boolean;
            /** @description What is new, in a few words */
            readonly note?: string;
        };
        readonly ReceiptDto: {
            /** @description Numbers of the edits that met nothing to alter */
            readonly dropped: readonly number[];
            /** @description Number of the change */
            readonly seq: number;
        };
        readonly ReleaseDto: {
            /** Format: date-time */
            readonly createdAt: string;
            /** @description Pages that are written */
            readonly done: number;
            readonly id: string;
            /** @description Whether it is the one that visitors see */
            readonly live: boolean;
            readonly note: string;
            /** @description Counted from 1 for each site */
            readonly number: number;
            readonly problem: string | null;
            readonly problems: readonly components["schemas"]["Unrenderable"][];
            /** @description The change up to which it holds the site */
            readonly seq: number;
            /** @enum {string} */
            readonly state: "waiting" | "making" | "done" | "failed";
            /** @description Pages that will be */
            readonly total: number;
        };
        readonly ReleasesDto: {
            readonly releases: readonly components["schemas"]["ReleaseDto"][];
        };
        readonly ReplacedSiteDto: {
            /** @description Whether there was anything to change */
            readonly changed: boolean;
            /** @description Number of the change */
            readonly seq: number;
        };
        readonly RestoredDto: {
            /** @description Number of the change */
            readonly seq: number;
            /** @description What the snapshot holds and nobody can read, in words */
            readonly unread: readonly string[];
        };
        readonly RestoreDto: {
            /**
             * @description The whole site, or its guide alone
             * @enum {string}
             */
            readonly part?: "all" | "guide";
        };
        readonly RoleDto: {
            /** @enum {string} */
            readonly role: "designer" | "keeper" | "reviewer";
        };
        readonly SecretDto: {
            /** @description What the link holds after its # */
            readonly secret: string;
        };
        readonly SessionDto: {
            /** @description What the browser says it is */
            readonly agent: string;
            /** Format: date-time */
            readonly createdAt: string;
            /** @description Whether it is the one that asks */
            readonly current: boolean;
            readonly id: string;
            /** Format: date-time */
            readonly seenAt: string;
        };
        readonly SignInDto: {
            /** @example demo@tolvane.example */
            readonly email: string;
            readonly password: string;
        };
        readonly SiteDto: {
            readonly records: readonly components["schemas"]["SiteRecord"][];
            /** @description Number of its last change */
            readonly seq: number;
        };
        readonly SiteNameDto: {
            /** @description What the site is called */
            readonly name: string;
        };
        /**
         * Format: @cove/core
         * @description A record of a site: {id, kind, …}, with the fields of its kind
         */
        readonly SiteRecord: core.SiteRecord;
        readonly SiteSummaryDto: {
            /** @description Where the published site is */
            readonly address: string;
            /** @description Whether it was laid aside */
            readonly archived: boolean;
            readonly changed: components["schemas"]["LastChangeDto"] | null;
            /** @description The page that its address leads to */
            readonly home: string | null;
            readonly id: string;
            /**
             * @description The most a keeper of this site may change
             * @enum {string}
             */
            readonly keeperMay: "content" | "choice" | "style";
            readonly live: components["schemas"]["LiveReleaseDto"] | null;
            readonly name: string;
            /** @enum {string} */
            readonly role: "designer" | "keeper" | "reviewer";
            /** @description Number of the last change */
            readonly seq: number;
        };
        readonly SnapshotDto: {
            /** @description What it was kept for */
            readonly note: string;
        };
        readonly SnapshotSummaryDto: {
            /** @description Who kept it; null where they have no account any more */
            readonly by: string | null;
            /** Format: date-time */
            readonly createdAt: string;
            readonly id: string;
            /** @description What it was kept for */
            readonly note: string;
            /** @description The change up to which it holds the site */
            readonly seq: number;
        };
        /**
         * Format: @cove/core
         * @description Where a value comes from, through what, and what it hides
         */
        readonly Thread: core.Thread;
        /**
         * Format: @cove/core
         * @description Something that cannot be rendered: which item, on which page, and why
         */
        readonly Unrenderable: core.Unrenderable;
        readonly UseLinkDto: {
            readonly name: string;
            readonly password: string;
            /** @description What the link holds after its # */
            readonly secret: string;
        };
        readonly WholeKeptSectionDto: {
            /** @description Null where it cannot be read */
            readonly clip: components["schemas"]["Clip"] | null;
            /** Format: date-time */
            readonly createdAt: string;
            readonly id: string;
            readonly name: string;
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    readonly AccountController_use: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["UseLinkDto"];
            };
        };
        readonly responses: {
            readonly 201: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["PersonDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_askLink: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["LinkDto"];
            };
        };
        readonly responses: {
            readonly 202: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["LinkSentDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_look: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SecretDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["LinkOwnerDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_rename: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["NameDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_setPassword: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["PasswordDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_sessions: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["SessionDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_endOthers: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly AccountController_end: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly session: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly DemoController_offered: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["DemoDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly DemoController_enter: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["PersonDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptGuidesController_list: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["KeptGuideDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptGuidesController_keep: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["KeepGuideDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["KeptGuideDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptGuidesController_read: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly guide: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["GuideData"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptGuidesController_forget: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly guide: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptGuidesController_giveFiles: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly guide: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["GiveFilesDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly HealthController_health: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["HealthDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly InvitationController_accept: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SecretDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["JoinedDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly InvitationController_look: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SecretDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["InvitedToDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly OutboxController_mine: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["LetterDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly OutboxController_everything: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["LetterDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly OutsideController_address: {
        readonly parameters: {
            readonly query: {
                /** @description Web address of a picture */
                readonly address: string;
            };
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "image/*": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly OutsideController_pictures: {
        readonly parameters: {
            readonly query?: {
                /** @description Words to be found in names and subjects; all pictures where left out */
                readonly words?: string;
            };
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["LibraryPictureDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly OutsideController_picture: {
        readonly parameters: {
            readonly query: {
                readonly width: 320 | 1200;
            };
            readonly header?: never;
            readonly path: {
                readonly picture: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "image/jpeg": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptSectionsController_list: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["WholeKeptSectionDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptSectionsController_keep: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["KeepSectionDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["KeptSectionDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly KeptSectionsController_forget: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly section: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SessionController_who: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["PersonDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SessionController_signIn: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SignInDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["PersonDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SessionController_signOut: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteListController_list: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["SiteSummaryDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly NewSitesController_create: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["NewSiteDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["MadeSiteDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitesController_get: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["SiteDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteListController_remove: {
        readonly parameters: {
            readonly query: {
                /** @description The name of the site, so that no other one is deleted by mistake */
                readonly name: string;
            };
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteListController_archive: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["ArchiveDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitePicturesController_upload: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/octet-stream": Blob;
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["AssetFacts"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitePicturesController_picture: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly file: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "image/*": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitePicturesController_uploadFile: {
        readonly parameters: {
            readonly query: {
                /** @description Name of the file, whose ending tells kinds of text apart */
                readonly name: string;
            };
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/octet-stream": Blob;
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["AssetFacts"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitesController_read: {
        readonly parameters: {
            readonly query?: {
                /** @description The last change one has; those after it are sent first */
                readonly after?: number;
                /** @description How many at most */
                readonly limit?: number;
                /** @description The schema of the page that asks, where it can send no header */
                readonly schema?: string;
            };
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["AcceptedChangeDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitesController_change: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: unknown;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["ChangeDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["ReceiptDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteListController_copy: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: unknown;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SiteNameDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["MadeSiteDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitesController_stream: {
        readonly parameters: {
            readonly query?: {
                /** @description The last change one has; those after it are sent first */
                readonly after?: number;
                /** @description The schema of the page that asks, where it can send no header */
                readonly schema?: string;
            };
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "text/event-stream": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ViewsController_zip: {
        readonly parameters: {
            readonly query?: {
                /** @description A finished release; the draft where none is named */
                readonly release?: string;
            };
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/zip": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteFontsController_upload: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/octet-stream": Blob;
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["FontFacts"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteFontsController_font: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly file: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "font/*": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ViewsController_guideFile: {
        readonly parameters: {
            readonly query?: {
                /** @description A finished release; the draft where none is named */
                readonly release?: string;
            };
            readonly header?: never;
            readonly path: {
                /** @description One of the open formats of a guide */
                readonly file: "tokens.json" | "tokens.resolver.json" | "guide.css" | "theme.css" | "guide.ts";
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "text/plain": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_open: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["InvitationDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_invite: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["InviteDto"];
            };
        };
        readonly responses: {
            readonly 201: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["InvitedDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_takeBack: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly invitation: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_setKeeperMay: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["KeeperDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ReleasesController_live: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["LiveDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_list: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["MemberDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_setRole: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly account: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["RoleDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_remove: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly account: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly PeopleController_leave: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: unknown;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteListController_rename: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: unknown;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SiteNameDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ViewsController_preview: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly page: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "text/html": string;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SiteListController_palette: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["PaletteDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitesController_here: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["HereDto"];
            };
        };
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SitesController_leave: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly client: string;
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ReleasesController_list: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["ReleasesDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ReleasesController_publish: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["PublishDto"];
            };
        };
        readonly responses: {
            readonly 202: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["OrderedReleaseDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SnapshotsController_list: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": readonly components["schemas"]["SnapshotSummaryDto"][];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SnapshotsController_keep: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["SnapshotDto"];
            };
        };
        readonly responses: {
            readonly 201: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["KeptSnapshotDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SnapshotsController_forget: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
                readonly snapshot: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            /** @description Done */
            readonly 204: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SnapshotsController_guide: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
                readonly snapshot: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["GuideData"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly SnapshotsController_restore: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
                readonly snapshot: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/json": components["schemas"]["RestoreDto"];
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["RestoredDto"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ViewsController_thread: {
        readonly parameters: {
            readonly query: {
                /** @description A section or widget, with the page it is asked on */
                readonly node?: string;
                readonly page?: string;
                readonly part: string;
                readonly property: components["schemas"]["Object"];
                readonly scheme?: string;
                readonly state?: "rest" | "alternate" | "selected" | "valid" | "invalid" | "hover" | "focus" | "pressed" | "disabled";
                /** @description An element, instead of node and page */
                readonly type?: string;
                /** @description Ids of variants, joined by commas */
                readonly variant?: string;
                readonly width?: "wide" | "medium" | "narrow";
            };
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Thread"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ViewsController_tokens: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["DesignTokens"];
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly WholeSiteController_replace: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: unknown;
            };
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/octet-stream": Blob;
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/x-ndjson": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly WholeSiteController_pack: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly site: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/zip": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly WholeSiteController_begin: {
        readonly parameters: {
            readonly query: {
                /** @description What the site is called */
                readonly name: string;
            };
            readonly header?: never;
            readonly path?: never;
            readonly cookie?: never;
        };
        readonly requestBody: {
            readonly content: {
                readonly "application/octet-stream": Blob;
            };
        };
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/x-ndjson": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
    readonly ShippedFontsController_font: {
        readonly parameters: {
            readonly query?: never;
            readonly header?: never;
            readonly path: {
                readonly file: string;
            };
            readonly cookie?: never;
        };
        readonly requestBody?: never;
        readonly responses: {
            readonly 200: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "font/woff2": Blob;
                };
            };
            /** @description Refused, or failed */
            readonly default: {
                headers: {
                    readonly [name: string]: unknown;
                };
                content: {
                    readonly "application/json": components["schemas"]["Problem"];
                };
            };
        };
    };
}
