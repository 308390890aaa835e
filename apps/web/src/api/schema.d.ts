/* Written by npm run api-types from the server's OpenAPI document. */
export interface paths {
    "/api/session": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SessionController_view"];
        put?: never;
        post: operations["SessionController_signIn"];
        delete: operations["SessionController_signOut"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FirmController_view"];
        put: operations["FirmController_update"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm/second-person": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FirmController_secondPerson"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm/marks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FirmController_requireMarks"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm/agent-pin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FirmController_agentPin"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm/defaults": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FirmController_addDefault"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/users": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FirmController_list"];
        put?: never;
        post: operations["FirmController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/users/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FirmController_change"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/users/{id}/sign-out-everywhere": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FirmController_signOut"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/session/second-factor": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FirmController_offer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/session/second-factor/confirm": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FirmController_confirm"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/session/second-factor/remove": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FirmController_remove"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/session/password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FirmController_password"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/search": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SearchController_find"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/readiness": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReadinessController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/gap-passes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ReadinessController_pass"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReadinessController_list"];
        put?: never;
        post: operations["ReadinessController_ask"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/letter.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReadinessController_letter"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/answer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ReadinessController_answer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/accept": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ReadinessController_accept"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/reopen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ReadinessController_reopen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/questions/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ReadinessController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/trials": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrialsController_trial"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}/crossings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_crossings"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/proofs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrialsController_proofs"];
        put?: never;
        post: operations["TrialsController_keep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/proofs/{id}/accept": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrialsController_accept"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/proofs/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrialsController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/people-files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleFilesController_list"];
        put?: never;
        post: operations["PeopleFilesController_upload"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/people.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleFilesController_csv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/people.xlsx": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleFilesController_xlsx"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleFilesController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/progress": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PeopleFilesController_progress"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/mapping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["PeopleFilesController_map"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/heading": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["PeopleFilesController_heading"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/skip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["PeopleFilesController_skip"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/cell": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["PeopleFilesController_cell"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/accept": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PeopleFilesController_accept"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PeopleFilesController_undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people-files/{id}/discard": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PeopleFilesController_discard"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/take-overs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakeOversController_list"];
        put?: never;
        post: operations["TakeOversController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakeOversController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/form.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakeOversController_csv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/form.xlsx": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakeOversController_xlsx"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/balances": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["TakeOversController_upload"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/mapping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["TakeOversController_map"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/reported": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["TakeOversController_reported"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/passes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakeOversController_pass"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/accept": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakeOversController_accept"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/take-back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakeOversController_takeBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/take-overs/{id}/discard": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakeOversController_discard"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/new-hires": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["NewHiresController_list"];
        put?: never;
        post: operations["NewHiresController_report"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/ladder": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LadderController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/paydays": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PaydaysController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/paydays/start": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PaydaysController_start"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-deposits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DueDepositsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-deposits/schedule": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueDepositsController_schedule"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-deposits/approve": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueDepositsController_approve"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-deposits/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueDepositsController_slip"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-deposits/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueDepositsController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DueReturnsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns/acknowledgements.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DueReturnsController_acknowledged"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns/schedule-r.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DueReturnsController_scheduleR"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns/begin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueReturnsController_begin"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueReturnsController_check"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueReturnsController_slip"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/due-returns/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DueReturnsController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/transmissions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TransmissionsController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/transmissions/{id}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TransmissionsController_file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/transmissions/{id}/acknowledgements": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TransmissionsController_acknowledgements"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ClientsController_list"];
        put?: never;
        post: operations["ClientsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ClientsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/remove": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ClientsController_remove"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/identity": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["ClientsController_update"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/facts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ClientsController_addFact"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/tax-accounts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ClientsController_addTaxAccount"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/bank-accounts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ClientsController_addBankAccount"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/contacts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ContactsController_list"];
        put?: never;
        post: operations["ContactsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/contacts/{contactId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["ContactsController_open"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-client": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ContactsController_home"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-client/payrolls/{id}/hours": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ContactsController_sendHours"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-client/payrolls/{id}/approve": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ContactsController_approve"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-client/questions/{id}/answer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ContactsController_answer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/employees": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["EmployeesController_list"];
        put?: never;
        post: operations["EmployeesController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["EmployeesController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}/identity": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["EmployeesController_update"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}/remove": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["EmployeesController_remove"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/changes-for-many/foresee": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["EmployeesController_foreseeChanges"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/changes-for-many": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["EmployeesController_makeChanges"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}/facts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["EmployeesController_addFact"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}/number": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["EmployeesController_reveal"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/review": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_reviewed"];
        put?: never;
        post: operations["PayrollsController_review"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/client-hours": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_sentHours"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/client-hours/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_takeHours"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/hours-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_hoursFile"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/payrolls": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_list"];
        put?: never;
        post: operations["PayrollsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/recomputed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_recomputed"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/next-payroll": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_suggest"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_view"];
        put: operations["PayrollsController_save"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/sheet-columns": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["PayrollsController_keepColumns"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/latest": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_latest"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/split": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_split"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/difference": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_difference"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/difference-payroll": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_payDifference"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/reopen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_reopen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/discard": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_discard"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/post": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["PayrollsController_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/working/{employeeId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["PayrollsController_working"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm/agency-payments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["AgencyPaymentsController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/firm/agency-payments/{agency}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["AgencyPaymentsController_save"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/enrollments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["EnrollmentsController_view"];
        put?: never;
        post: operations["EnrollmentsController_ask"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/enrollments/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["EnrollmentsController_act"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/journal": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["JournalController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/journal-exports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["JournalController_export"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/journal-exports/{file}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["JournalController_file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/reports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReportsController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/reports/{code}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReportsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/report-totals/{code}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReportsController_totals"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/report-files/{file}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ReportsController_file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/voids": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["VoidsController_ofPayroll"];
        put?: never;
        post: operations["VoidsController_propose"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/void-effects": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["VoidsController_preview"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/voids/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["VoidsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/voids/{id}/post": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["VoidsController_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/voids/{id}/pay-again": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["VoidsController_payAgain"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/voids/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["VoidsController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/deposits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RemittancesController_deposits"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/remittances": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RemittancesController_list"];
        put?: never;
        post: operations["RemittancesController_plan"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RemittancesController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RemittancesController_slip"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/approve": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RemittancesController_approve"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RemittancesController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/record": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RemittancesController_record"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/unrecord": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RemittancesController_unrecord"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RemittancesController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/tax-statement.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LettersController_taxes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-client/tax-statement.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LettersController_ownTaxes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/instructions.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LettersController_pay"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/returned.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LettersController_cameBack"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-client/remittances/{id}/returned.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LettersController_ownCameBack"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/correction-cases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CorrectionCasesController_list"];
        put?: never;
        post: operations["CorrectionCasesController_open"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/correction-cases/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CorrectionCasesController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/correction-cases/{id}/consequences": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CorrectionCasesController_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/correction-cases/{id}/consequences/{consequenceId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CorrectionCasesController_settle"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/correction-cases/{id}/close": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CorrectionCasesController_close"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/correction-cases/{id}/reopen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CorrectionCasesController_reopen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/correction-cases/{id}/letter.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CorrectionCasesController_letter"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/notices": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["NoticesController_list"];
        put?: never;
        post: operations["NoticesController_record"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/notices/{id}/answer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["NoticesController_answer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/notices/{id}/close": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["NoticesController_close"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/notices/{id}/reopen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["NoticesController_reopen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/notices/{id}/answer.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["NoticesController_letter"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/garnishment-payees": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["GarnishmentPaymentsController_payees"];
        put: operations["GarnishmentPaymentsController_savePayee"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/garnishments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["GarnishmentPaymentsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/garnishment-payments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["GarnishmentPaymentsController_plan"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/garnishment-payments/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["GarnishmentPaymentsController_one"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/garnishment-payments/{id}/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["GarnishmentPaymentsController_slip"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/garnishment-payments/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["GarnishmentPaymentsController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/garnishment-payments/{id}/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["GarnishmentPaymentsController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/garnishment-payments/{id}/record": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["GarnishmentPaymentsController_record"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/employees/{id}/sign-in": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["OwnPayController_view"];
        put: operations["OwnPayController_open"];
        post: operations["OwnPayController_invite"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/welcome/{token}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["OwnPayController_welcome"];
        put?: never;
        post: operations["OwnPayController_setPassword"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-pay": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["OwnPayController_home"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-pay/consent": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["OwnPayController_consent"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-pay/statements/{id}/statement.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["OwnPayController_statement"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own-pay/wage-statements/{id}/w2.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["OwnPayController_wageStatement"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/attachments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["AttachmentsController_list"];
        put?: never;
        post: operations["AttachmentsController_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/attachments/{id}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["AttachmentsController_open"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invoices": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["InvoicesController_month"];
        put?: never;
        post: operations["InvoicesController_issue"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invoices/{id}/invoice.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["InvoicesController_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invoices/{id}/pay": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["InvoicesController_pay"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invoices/{id}/unpay": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["InvoicesController_unpay"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/invoices/{id}/void": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["InvoicesController_void"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/session/calendar-feeds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CalendarFeedsController_list"];
        put?: never;
        post: operations["CalendarFeedsController_make"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/session/calendar-feeds/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["CalendarFeedsController_end"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/calendar/{token}.ics": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CalendarFeedsController_file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrustController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/account": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["TrustController_account"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/entries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrustController_entries"];
        put?: never;
        post: operations["TrustController_record"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/entries/{id}/reverse": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrustController_reverse"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/advances": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrustController_advance"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/statement": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrustController_statement"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/statement/fetch": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrustController_fetchStatement"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/matches": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TrustController_match"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/reconciliation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrustController_reconciliation"];
        put?: never;
        post: operations["TrustController_keep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/trust/reconciliation.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TrustController_report"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/funds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CollectionsController_funds"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/collections": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_plan"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/collections/prenote": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_prenote"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/collections/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CollectionsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/collections/{id}/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["CollectionsController_slip"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/collections/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/collections/{id}/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/collections/{id}/retry": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["CollectionsController_retry"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/pay": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectDepositsController_pay"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/direct-deposit": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DirectDepositsController_planPay"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/direct-deposit-again": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DirectDepositsController_planAgain"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/prenotes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectDepositsController_prenotes"];
        put?: never;
        post: operations["DirectDepositsController_planPrenotes"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/account-changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectDepositsController_accountChanges"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/account-changes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DirectDepositsController_decideChange"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/voids/{id}/reversal": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectDepositsController_reversal"];
        put?: never;
        post: operations["DirectDepositsController_planReversal"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/direct-deposits/{id}/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["DirectDepositsController_slip"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/direct-deposits/{id}/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DirectDepositsController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/direct-deposits/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["DirectDepositsController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/filings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_list"];
        put?: never;
        post: operations["FilingsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/forms": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_owed"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/efile-duty": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_duty"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/corrections": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_toCorrect"];
        put?: never;
        post: operations["FilingsController_beginCorrections"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/working-papers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_workingPapers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/marks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_mark"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/marks/{id}/clear": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_clearMark"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/slip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_slip"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/entered": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FilingsController_enter"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/answers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["FilingsController_answer"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_check"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/reopen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_reopen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/discard": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_discard"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/sign": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_sign"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/release": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_release"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/hand-over": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_hand"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/paper": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_paper"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/reporting-agent.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_agent"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/authorization": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_authorization"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/filed-wage-files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_takeIn"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/filed-statements": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["FilingsController_typeFiled"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/boxes/{employeeId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_boxes"];
        put: operations["FilingsController_typeBoxes"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/payments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_payments"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/w2": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_w2s"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/w2-copies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_copies"];
        put?: never;
        post: operations["FilingsController_makeCopies"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/w2-copies/{part}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_copiesPart"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/w2/{employeeId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_w2"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/w2c/{employeeId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_w2c"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/filings/{id}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["FilingsController_file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/bank-accounts/{id}/signature": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["ChecksController_saveSignature"];
        post?: never;
        delete: operations["ChecksController_removeSignature"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/remittances/{id}/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ChecksController_printAgencyCheck"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/next-check-numbers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_nextNumbers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/check-printers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_printerList"];
        put?: never;
        post: operations["ChecksController_addPrinter"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/check-printers/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["ChecksController_savePrinter"];
        post?: never;
        delete: operations["ChecksController_removePrinter"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/micr-typeface": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_typeface"];
        put: operations["ChecksController_saveTypeface"];
        post?: never;
        delete: operations["ChecksController_removeTypeface"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/bank-accounts/{id}/micr-test": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put: operations["ChecksController_micrTest"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/bank-statements": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ChecksController_statement"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/positive-pay.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_positivePay"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/check-sample.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_sample"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/checks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_ofPayroll"];
        put?: never;
        post: operations["ChecksController_print"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/handwritten-checks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ChecksController_handwritten"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/payrolls/{id}/statements.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_payStatements"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/check-runs/{file}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_run"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/check-runs/{id}/outcome": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ChecksController_outcome"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/checks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/spoiled-stock": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ChecksController_spoil"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/checks/{id}/end": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ChecksController_end"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/checks/{id}/image.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["ChecksController_reprint"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/job-costs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["JobCostsController_of"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/tie-out": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TieOutController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clients/{id}/ledger": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TieOutController_entries"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RulesController_jurisdictions"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/rows": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RulesController_rows"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/export": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RulesController_exported"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/carry/{year}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RulesController_carried"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/packs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RulesController_packs"];
        put?: never;
        post: operations["RulesController_propose"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/packs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["RulesController_view"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/packs/{id}/accept": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RulesController_accept"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rules/packs/{id}/withdraw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["RulesController_withdraw"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/audit/verification": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["AuditController_verify"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/audit": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["AuditController_page"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/clock": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["ClockController_move"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        SignIn: {
            email: string;
            password: string;
            code?: string;
        };
        UserView: {
            /** Format: uuid */
            id: string;
            name: string;
            email: string;
            /** @enum {string} */
            role: "preparer" | "reviewer" | "administrator" | "client-contact" | "employee";
        };
        SessionView: {
            user: components["schemas"]["UserView"];
            firmName: string;
            /** Format: date */
            today: string;
            requiresSecondPerson: boolean;
            hasSecondFactor: boolean;
        };
        ClientFactView: {
            /** @enum {string} */
            kind: "employer" | "form" | "schedule" | "lookback" | "withholding" | "overtime" | "tax-exemption" | "own-rate" | "local-registration" | "pay-item" | "work-class" | "department" | "checks" | "contact" | "note" | "enrollment" | "reporting-agent" | "designee" | "aggregate-filer" | "funding" | "service-fee";
            /** Format: date */
            from: string;
            value: {
                [key: string]: unknown;
            };
            sentence: string;
            isInForce: boolean;
            recordedBy: string;
            recordedAt: string;
        };
        FirmView: {
            name: string;
            ein: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            phone: string;
            email: string;
            contactName: string;
            preparerName: string;
            preparerPtin: string;
            efw2UserId: string;
            efin: string;
            cushionDays: number;
            version: number;
            requiresSecondPerson: boolean;
            requiresMarks: boolean;
            hasAgentPin: boolean;
            defaults: components["schemas"]["ClientFactView"][];
        };
        UpdateFirm: {
            name: string;
            ein: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            phone: string;
            email: string;
            contactName: string;
            preparerName: string;
            preparerPtin: string;
            efw2UserId: string;
            efin: string;
            cushionDays: number;
            version: number;
        };
        SwitchSecondPerson: {
            isRequired: boolean;
            reason: string;
        };
        RequireMarks: {
            isRequired: boolean;
            reason: string;
        };
        AgentPin: {
            pin: string;
        };
        ClientFact: {
            /** @enum {string} */
            kind: "employer" | "form" | "schedule" | "lookback" | "withholding" | "overtime" | "tax-exemption" | "own-rate" | "local-registration" | "pay-item" | "work-class" | "department" | "checks" | "contact" | "note" | "enrollment" | "reporting-agent" | "designee" | "aggregate-filer" | "funding" | "service-fee";
            /** Format: date */
            from: string;
            value: {
                [key: string]: unknown;
            };
        };
        UserRow: {
            /** Format: uuid */
            id: string;
            name: string;
            email: string;
            /** @enum {string} */
            role: "preparer" | "reviewer" | "administrator";
            isActive: boolean;
            hasSecondFactor: boolean;
            sessions: number;
        };
        CreateUser: {
            name: string;
            email: string;
            /** @enum {string} */
            role: "preparer" | "reviewer" | "administrator";
            password: string;
        };
        UpdateUser: {
            name: string;
            /** @enum {string} */
            role: "preparer" | "reviewer" | "administrator";
            isActive: boolean;
        };
        SecondFactorOffer: {
            secret: string;
            uri: string;
            picture: string;
        };
        SecondFactorCode: {
            code: string;
        };
        ChangePassword: {
            current: string;
            next: string;
            code?: string;
        };
        Found: {
            /** @enum {string} */
            kind: "client" | "person";
            /** Format: uuid */
            id: string;
            label: string;
            detail: string;
        };
        GapView: {
            key: string;
            /** Format: uuid */
            personId: string | null;
            who: string;
            says: string;
            fix: string;
            neededFor: string[];
            /** Format: date */
            by: string | null;
            /** @enum {string} */
            move: "client" | "firm" | "agency";
            blocksPaycheck: boolean;
            field: string;
            question: string | null;
            passedBecause: string | null;
        };
        LetterLine: {
            about: string;
            asks: string[];
            /** Format: date */
            by: string | null;
        };
        ReadinessView: {
            /** Format: date */
            on: string;
            gaps: components["schemas"]["GapView"][];
            letter: components["schemas"]["LetterLine"][];
        };
        PassGap: {
            key: string;
            /** Format: uuid */
            personId: string | null;
            reason: string;
        };
        QuestionView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            personId: string | null;
            who: string;
            asks: string;
            /** @enum {string} */
            status: "asked" | "answered" | "accepted" | "withdrawn";
            answer: string;
            /** Format: date */
            askedOn: string;
            /** Format: date */
            chaseOn: string;
            field: string;
            entersItself: boolean;
            version: number;
        };
        AskQuestions: {
            /** Format: date */
            chaseOn: string;
        };
        AnswerQuestion: {
            version: number;
            answer: string;
        };
        AtVersion: {
            version: number;
        };
        Fact: {
            /** @enum {string} */
            kind: "pay" | "federal-certificate" | "state-certificate" | "place" | "worker" | "jobs" | "standing" | "garnishment" | "leave" | "bank" | "consent" | "employment" | "own-field";
            /** Format: date */
            from: string;
            value: {
                [key: string]: unknown;
            };
        };
        AskTrial: {
            /** Format: uuid */
            employeeId: string | null;
            /** Format: date */
            checkDate: string | null;
            /** Format: date */
            bornOn: string | null;
            facts: components["schemas"]["Fact"][];
        };
        EntryEarning: {
            item: string;
            hours?: string;
            rate?: string;
            amount?: string;
            net?: string;
            job?: string;
        };
        MatchStep: {
            percent: string;
            upTo?: string;
        };
        EntryDeduction: {
            item: string;
            amount?: string;
            percent?: string;
            perCheck?: string;
            perYear?: string;
            balance?: string;
            coverage?: string;
            arrears?: string;
            match?: components["schemas"]["MatchStep"][];
        };
        LeftOutLine: {
            line: string;
            reason: string;
        };
        OverriddenLine: {
            line: string;
            amount: string;
            reason: string;
            isOwed?: boolean;
        };
        WithheldLine: {
            tax: string;
            amount: string;
            reason?: string;
        };
        UnreadLine: {
            /** @enum {string} */
            column: "line" | "also";
            text: string;
            why: string;
        };
        ItemFigure: {
            item: string;
            name?: string;
            label: string;
            amount: number;
            job?: string;
            computed?: number;
            owed?: number;
            arrears?: number;
        };
        OrderFigure: {
            kind: string;
            label: string;
            amount: number;
            fee: number;
            computed?: number;
        };
        TaxFigure: {
            code: string;
            payer: string;
            subject: number;
            wages: number;
            amount: number;
        };
        VarianceView: {
            code: string;
            label: string;
            withheld: number;
            computed: number;
        };
        LeaveView: {
            item: string;
            before: string;
            accrued: string;
            used: string;
            lost: string;
            balance: string;
        };
        ProblemDetail: {
            code: string;
            field: string;
            /** @enum {string} */
            severity: "error" | "ask" | "warning";
            sentence: string;
            fix: string;
        };
        PaycheckView: {
            /** Format: uuid */
            id: string | null;
            /** Format: uuid */
            voidedBy?: string;
            gross: number;
            net: number;
            earnings: components["schemas"]["ItemFigure"][];
            deductions: components["schemas"]["ItemFigure"][];
            employerPaid: components["schemas"]["ItemFigure"][];
            garnishments: components["schemas"]["OrderFigure"][];
            taxes: components["schemas"]["TaxFigure"][];
            variances?: components["schemas"]["VarianceView"][];
            leave?: components["schemas"]["LeaveView"][];
            problems: components["schemas"]["ProblemDetail"][];
        };
        PayrollPerson: {
            /** Format: uuid */
            employeeId: string;
            isPaid: boolean;
            earnings: components["schemas"]["EntryEarning"][];
            deductions: components["schemas"]["EntryDeduction"][];
            leftOut?: components["schemas"]["LeftOutLine"][];
            overridden?: components["schemas"]["OverriddenLine"][];
            withheld?: components["schemas"]["WithheldLine"][];
            unread?: components["schemas"]["UnreadLine"];
            number: string;
            name: string;
            workState: string;
            department: string;
            location: string;
            costCentre: string;
            base: {
                [key: string]: unknown;
            };
            paycheck: components["schemas"]["PaycheckView"];
            previousGross: number | null;
            note: string;
        };
        TrialView: {
            /** Format: date */
            checkDate: string;
            why: string;
            payFrequency: string;
            person: components["schemas"]["PayrollPerson"] | null;
            own: {
                [key: string]: unknown;
            };
            problems: components["schemas"]["ProblemDetail"][];
        };
        CrossingView: {
            /** Format: date */
            checkDate: string;
            figure: string;
            label: string;
            subject: number;
            below: number;
            /** @enum {string} */
            what: "stops" | "starts";
        };
        ProofFigure: {
            figure: string;
            label: string;
            expected: number | null;
            now: number | null;
        };
        ProofView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            employeeId: string;
            employeeName: string;
            name: string;
            /** Format: date */
            checkDate: string;
            /** Format: date */
            computedFor: string;
            agreedBy: string;
            agreedAt: string;
            isMoved: boolean;
            figures: components["schemas"]["ProofFigure"][];
            problems: components["schemas"]["ProblemDetail"][];
        };
        KeepProof: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            /** Format: date */
            checkDate: string | null;
        };
        Accepted: {
            /** Format: uuid */
            id: string;
            warnings: components["schemas"]["ProblemDetail"][];
        };
        ImportRow: {
            /** Format: uuid */
            id: string;
            fileName: string;
            status: string;
            people: number;
            by: string;
            at: string;
        };
        UploadPeople: {
            fileName: string;
            content: string;
        };
        SkippedRow: {
            row: number;
            text: string;
        };
        PeopleColumnView: {
            name: string;
            label: string;
        };
        CellProblem: {
            code: string;
            field: string;
            /** @enum {string} */
            severity: "error" | "ask" | "warning";
            sentence: string;
            fix: string;
            column: string;
            cell: string;
        };
        ImportRowView: {
            row: number;
            number: string;
            name: string;
            isWrong: boolean;
            says: string[];
            problems: components["schemas"]["CellProblem"][];
        };
        ImportView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            fileName: string;
            /** @enum {string} */
            status: "previewed" | "accepted" | "undone" | "discarded";
            version: number;
            headings: string[];
            mapping: string[];
            headingRow: number;
            above: string[];
            skipped: components["schemas"]["SkippedRow"][];
            columns: components["schemas"]["PeopleColumnView"][];
            problems: components["schemas"]["ProblemDetail"][];
            people: number;
            wrong: number;
            rows: components["schemas"]["ImportRowView"][];
            by: string;
            at: string;
        };
        ProgressView: {
            done: number;
            total: number;
        };
        ChooseMapping: {
            version: number;
            mapping: string[];
        };
        ChooseHeading: {
            version: number;
            row: number;
        };
        SkipRow: {
            version: number;
            row: number;
            isSkipped: boolean;
        };
        CorrectCell: {
            version: number;
            row: number;
            column: string;
            value: string;
        };
        TakeOverRow: {
            /** Format: uuid */
            id: string;
            year: number;
            /** @enum {string} */
            status: "open" | "accepted" | "taken back" | "discarded";
            fileName: string;
            by: string;
            at: string;
        };
        CreateTakeOver: {
            year: number;
        };
        WrongRow: {
            row: number;
            who: string;
            problems: components["schemas"]["ProblemDetail"][];
        };
        BroughtInDay: {
            /** Format: date */
            from: string;
            /** Format: date */
            day: string;
            people: number;
            gross: number;
            net: number;
        };
        FigureView: {
            quarter: number;
            code: string;
            label: string;
            /** @enum {string} */
            kind: "line" | "filed" | "paid";
            balances: number;
            amount: number | null;
            /** Format: date */
            day: string | null;
        };
        DifferenceView: {
            key: string;
            about: string;
            amount: number;
            /** @enum {string} */
            severity: "error" | "ask" | "warning";
            sentence: string;
            fix: string;
            passedBecause: string | null;
        };
        TakeOverView: {
            /** Format: uuid */
            id: string;
            year: number;
            /** @enum {string} */
            status: "open" | "accepted" | "taken back" | "discarded";
            fileName: string;
            by: string;
            at: string;
            /** Format: uuid */
            clientId: string;
            version: number;
            headings: string[];
            mapping: string[];
            columns: components["schemas"]["PeopleColumnView"][];
            problems: components["schemas"]["ProblemDetail"][];
            rows: number;
            wrong: number;
            wrongRows: components["schemas"]["WrongRow"][];
            days: components["schemas"]["BroughtInDay"][];
            figures: components["schemas"]["FigureView"][];
            differences: components["schemas"]["DifferenceView"][];
            tiesOut: boolean;
        };
        UploadBalances: {
            version: number;
            fileName: string;
            content: string;
        };
        ReportedFigureInput: {
            quarter: number;
            code: string;
            amount: number | null;
            /** Format: date */
            day: string | null;
        };
        SaveReported: {
            version: number;
            figures: components["schemas"]["ReportedFigureInput"][];
        };
        PassDifference: {
            key: string;
            reason: string;
        };
        NewHireRow: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            state: string;
            /** Format: date */
            hiredOn: string;
            /** Format: date */
            due: string;
            rule: string;
            missing: string[];
            /** Format: date */
            reportedOn: string | null;
        };
        ReportNewHires: {
            state: string;
        };
        NewHireFile: {
            fileName: string;
            content: string;
            people: number;
        };
        Rung: {
            key: string;
            /** @enum {string} */
            kind: "payroll" | "collection" | "deposit" | "garnishment" | "return" | "notice" | "enrollment" | "account";
            /** Format: uuid */
            clientId: string;
            clientName: string;
            title: string;
            /** Format: date */
            sendBy: string | null;
            /** Format: date */
            due: string | null;
            amount: number | null;
            standing: string;
            move: string;
            isLate: boolean;
            path: string;
        };
        LadderDay: {
            /** Format: date */
            day: string;
            out: number;
            others: number;
        };
        LadderView: {
            rungs: components["schemas"]["Rung"][];
            count: number;
            out: number;
            days: components["schemas"]["LadderDay"][];
            waiting: number;
        };
        Payday: {
            key: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            schedule: string;
            part: string;
            /** @enum {string} */
            kind: "regular" | "extra" | "recorded" | "brought-in" | "void";
            /** @enum {string} */
            status: "due" | "open" | "reviewed" | "posted";
            /** Format: uuid */
            payrollId: string | null;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            checkDate: string;
            /** Format: date */
            sendBy: string | null;
            isLate: boolean;
            people: number;
            waiting: number;
            net: number | null;
            move: string;
            /** @enum {string} */
            fromClient: "" | "hours" | "approved";
        };
        PaydayView: {
            rows: components["schemas"]["Payday"][];
            waiting: number;
        };
        StartPayroll: {
            /** Format: uuid */
            clientId: string;
            schedule: string;
            /** Format: date */
            periodEnd: string;
        };
        StartPayrolls: {
            payrolls: components["schemas"]["StartPayroll"][];
        };
        StartedPayroll: {
            asked: components["schemas"]["StartPayroll"];
            /** Format: uuid */
            payrollId: string | null;
            refused: string | null;
        };
        DueDeposit: {
            key: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            family: string;
            title: string;
            /** Format: date */
            due: string | null;
            /** Format: date */
            sendBy: string | null;
            amount: number;
            /** @enum {string} */
            status: "open" | "no date" | "planned" | "approved";
            isLate: boolean;
            move: string;
            /** Format: uuid */
            remittanceId: string | null;
            version: number | null;
            /** Format: date */
            settles: string | null;
            bankAccount: string | null;
            penalty: number | null;
        };
        AccountCash: {
            clientName: string;
            bankAccount: string;
            /** Format: date */
            settles: string;
            amount: number;
        };
        DueDepositView: {
            rows: components["schemas"]["DueDeposit"][];
            cash: components["schemas"]["AccountCash"][];
            waiting: number;
        };
        ScheduleDeposit: {
            /** Format: uuid */
            clientId: string;
            family: string;
            /** Format: date */
            due: string;
            amount: number;
        };
        ScheduleDeposits: {
            deposits: components["schemas"]["ScheduleDeposit"][];
        };
        DoneOfMany: {
            key: string;
            what: string;
            refused: string | null;
        };
        PaymentAtVersion: {
            /** Format: uuid */
            id: string;
            version: number;
        };
        PaymentsAtVersion: {
            payments: components["schemas"]["PaymentAtVersion"][];
        };
        SlipFigure: {
            label: string;
            value: string;
        };
        SlipCheck: {
            label: string;
            isPassed: boolean;
            says: string;
        };
        ReleaseSlip: {
            title: string;
            act: string;
            amount: number | null;
            figures: components["schemas"]["SlipFigure"][];
            leaves: string;
            becomesImpossible: string;
            wayBack: string;
            checks: components["schemas"]["SlipCheck"][];
            mayRelease: boolean;
            file: string;
        };
        DueReturn: {
            key: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            kind: string;
            title: string;
            agency: string;
            period: string;
            /** Format: date */
            due: string;
            isOver: boolean;
            isLate: boolean;
            /** @enum {string} */
            status: "not begun" | "differs" | "filed elsewhere" | "draft" | "checked" | "released" | "received" | "accepted" | "rejected";
            move: string;
            isReady: boolean;
            /** Format: uuid */
            filingId: string | null;
            version: number | null;
            amount: number | null;
        };
        DueReturnView: {
            quarter: string;
            rows: components["schemas"]["DueReturn"][];
            more: number;
            aggregated: number;
        };
        BeginReturn: {
            /** Format: uuid */
            clientId: string;
            kind: string;
            period: string;
        };
        BeginReturns: {
            returns: components["schemas"]["BeginReturn"][];
        };
        ReturnAtVersion: {
            /** Format: uuid */
            id: string;
            version: number;
        };
        ReturnsAtVersion: {
            returns: components["schemas"]["ReturnAtVersion"][];
        };
        TransmittedReturn: {
            /** Format: uuid */
            filingId: string;
            title: string;
            clientName: string;
            /** @enum {string} */
            verdict: "waiting" | "received" | "accepted" | "rejected";
        };
        TransmissionRow: {
            /** Format: uuid */
            id: string;
            number: number;
            receiver: string;
            madeAt: string;
            sentAt: string | null;
            delayed: string | null;
            refused: string | null;
            reference: string | null;
            count: number;
            amount: number;
            accepted: number;
            rejected: number;
            isAcknowledged: boolean;
            returns: components["schemas"]["TransmittedReturn"][];
        };
        ClientRow: {
            /** Format: uuid */
            id: string;
            key: string;
            legalName: string;
            tradeName: string;
            einTail: string;
            state: string;
            depositSchedule: string;
            people: number;
        };
        ClientList: {
            rows: components["schemas"]["ClientRow"][];
            total: number;
        };
        TaxAccountView: {
            agency: string;
            accountNumber: string;
            unemploymentRate: string | null;
            /** Format: date */
            from: string;
            isApplied?: boolean;
            isAsPrinted?: boolean;
            depositFrequency?: string;
            /** Format: uuid */
            id: string;
            agencyName: string;
            rateInWords: string | null;
        };
        BankAccountView: {
            /** Format: uuid */
            id: string;
            label: string;
            bankName: string;
            routing: string;
            accountTail: string;
            hasSignature: boolean;
            signatureMost: number | null;
            /** Format: date */
            micrTestedOn: string | null;
        };
        PaysFromTrust: {
            /** Format: uuid */
            id: string;
            label: string;
            accountTail: string;
            paysPeople: boolean;
        };
        ScheduledCheck: {
            /** Format: date */
            start: string;
            /** Format: date */
            end: string;
            /** Format: date */
            checkDate: string;
            /** Format: date */
            movedFrom: string | null;
        };
        ClientView: {
            legalName: string;
            tradeName: string;
            ein: string;
            nameControl: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            phone: string;
            email: string;
            contactName: string;
            signerName: string;
            signerTitle: string;
            /** Format: uuid */
            id: string;
            key: string;
            kindOfEmployer: string;
            payFrequency: string;
            depositSchedule: string;
            depositScheduleWhy: string;
            version: number;
            taxAccounts: components["schemas"]["TaxAccountView"][];
            bankAccounts: components["schemas"]["BankAccountView"][];
            trustAccount: components["schemas"]["PaysFromTrust"] | null;
            facts: components["schemas"]["ClientFactView"][];
            nextChecks: components["schemas"]["ScheduledCheck"][];
            states: string[];
        };
        CreateClient: {
            legalName: string;
            tradeName: string;
            ein: string;
            nameControl: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            phone: string;
            email: string;
            contactName: string;
            signerName: string;
            signerTitle: string;
            confirmed?: string[];
            key: string;
            /** @enum {string} */
            kindOfEmployer?: "F" | "S" | "T" | "Y" | "N";
            /** @enum {string} */
            payFrequency?: "weekly" | "biweekly" | "semimonthly" | "monthly" | "quarterly" | "semiannually" | "annually" | "daily" | "miscellaneous";
            lookbackAmount?: number;
            einAgain?: string;
            facts?: components["schemas"]["ClientFact"][];
            startFrom?: string;
        };
        UpdateClientIdentity: {
            legalName: string;
            tradeName: string;
            ein: string;
            nameControl: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            phone: string;
            email: string;
            contactName: string;
            signerName: string;
            signerTitle: string;
            confirmed?: string[];
            einAgain?: string;
            version: number;
        };
        CreateTaxAccount: {
            agency: string;
            accountNumber: string;
            unemploymentRate: string | null;
            /** Format: date */
            from: string;
            isApplied?: boolean;
            isAsPrinted?: boolean;
            depositFrequency?: string;
        };
        CreateBankAccount: {
            label: string;
            bankName: string;
            routing: string;
            account: string;
        };
        ContactRow: {
            /** Format: uuid */
            id: string;
            name: string;
            email: string;
            isActive: boolean;
            hasSecondFactor: boolean;
        };
        CreateContact: {
            name: string;
            email: string;
            password: string;
        };
        OpenContact: {
            isActive: boolean;
        };
        AskedOfClient: {
            /** Format: uuid */
            id: string;
            who: string;
            asks: string;
            /** @enum {string} */
            status: "asked" | "answered";
            answer: string;
            /** Format: date */
            chaseOn: string;
            version: number;
        };
        DoneForClient: {
            /** @enum {string} */
            kind: "return" | "payment";
            what: string;
            to: string;
            amount: number | null;
            /** Format: date */
            day: string;
            standing: string;
            confirmation: string | null;
            /** Format: uuid */
            returnedId: string | null;
        };
        HoursChoice: {
            name: string;
            label: string;
        };
        OwnPayrollPerson: {
            /** Format: uuid */
            employeeId: string;
            number: string;
            name: string;
            standing: {
                [key: string]: unknown;
            };
            sent: {
                [key: string]: unknown;
            };
            note: string;
            gross: number;
            net: number;
        };
        OwnPayroll: {
            /** Format: uuid */
            id: string;
            /** Format: date */
            periodStart: string;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            checkDate: string;
            schedule: string;
            /** @enum {string} */
            status: "open" | "reviewed";
            version: number;
            items: components["schemas"]["HoursChoice"][];
            people: components["schemas"]["OwnPayrollPerson"][];
            gross: number;
            net: number;
            sentAt: string | null;
            isTaken: boolean;
            isApproved: boolean;
        };
        TakenFromClient: {
            reference: string;
            /** Format: date */
            settles: string;
            amount: number;
            status: string;
            returnedReason: string | null;
        };
        FundsOfClient: {
            held: number;
            taken: components["schemas"]["TakenFromClient"][];
        };
        ContactHome: {
            clientName: string;
            einTail: string;
            questions: components["schemas"]["AskedOfClient"][];
            done: components["schemas"]["DoneForClient"][];
            payrolls: components["schemas"]["OwnPayroll"][];
            funds: components["schemas"]["FundsOfClient"] | null;
        };
        SentHours: {
            /** Format: uuid */
            employeeId: string;
            hours: {
                [key: string]: unknown;
            };
            note: string;
        };
        SendHours: {
            people: components["schemas"]["SentHours"][];
        };
        EmployeeRow: {
            /** Format: uuid */
            id: string;
            number: string;
            name: string;
            ssnTail: string;
            workState: string;
            paySentence: string;
            /** @enum {string} */
            kind: "employee" | "partner" | "contractor";
        };
        EmployeeList: {
            rows: components["schemas"]["EmployeeRow"][];
            total: number;
            nextNumber: string;
        };
        CreateEmployee: {
            firstName: string;
            middleName: string;
            lastName: string;
            suffix: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            country?: string;
            province?: string;
            confirmed?: string[];
            number: string;
            ssn: string;
            /** Format: date */
            hiredOn: string | null;
            /** Format: date */
            bornOn: string | null;
            /** @enum {string} */
            kind: "employee" | "partner" | "contractor";
            isRetirementPlan: boolean;
            facts: components["schemas"]["Fact"][];
        };
        FactView: {
            /** @enum {string} */
            kind: "pay" | "federal-certificate" | "state-certificate" | "place" | "worker" | "jobs" | "standing" | "garnishment" | "leave" | "bank" | "consent" | "employment" | "own-field";
            /** Format: date */
            from: string;
            value: {
                [key: string]: unknown;
            };
            sentence: string;
            isInForce: boolean;
        };
        EmployeeView: {
            firstName: string;
            middleName: string;
            lastName: string;
            suffix: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            country?: string;
            province?: string;
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            number: string;
            ssnTail: string;
            /** Format: date */
            hiredOn: string | null;
            /** Format: date */
            bornOn: string | null;
            /** @enum {string} */
            kind: "employee" | "partner" | "contractor";
            isRetirementPlan: boolean;
            version: number;
            /** Format: date */
            on: string;
            facts: components["schemas"]["FactView"][];
            certificateFields: string[];
        };
        UpdateEmployeeIdentity: {
            firstName: string;
            middleName: string;
            lastName: string;
            suffix: string;
            street: string;
            city: string;
            state: string;
            zip: string;
            country?: string;
            province?: string;
            confirmed?: string[];
            ssn: string;
            number?: string;
            /** Format: date */
            hiredOn?: string | null;
            /** Format: date */
            bornOn?: string | null;
            /** @enum {string} */
            kind?: "employee" | "partner" | "contractor";
            isRetirementPlan?: boolean;
            version: number;
        };
        ChangeForMany: {
            /** @enum {string} */
            is: "pay" | "work" | "standing";
            /** @enum {string} */
            by?: "to" | "amount" | "percent";
            /** @enum {string} */
            field?: "department" | "location" | "costCentre" | "schedule";
            value?: string;
            item?: string;
            amount?: string;
            percent?: string;
        };
        ForeseeChanges: {
            /** Format: date */
            from: string;
            change: components["schemas"]["ChangeForMany"];
        };
        ForeseenChange: {
            /** Format: uuid */
            employeeId: string;
            number: string;
            name: string;
            department: string;
            location: string;
            costCentre: string;
            was: string;
            will: string;
            why: string;
        };
        SeenChange: {
            /** Format: uuid */
            employeeId: string;
            was: string;
        };
        MakeChanges: {
            /** Format: date */
            from: string;
            change: components["schemas"]["ChangeForMany"];
            people: components["schemas"]["SeenChange"][];
            confirmed?: string[];
        };
        AddFact: {
            /** @enum {string} */
            kind: "pay" | "federal-certificate" | "state-certificate" | "place" | "worker" | "jobs" | "standing" | "garnishment" | "leave" | "bank" | "consent" | "employment" | "own-field";
            /** Format: date */
            from: string;
            value: {
                [key: string]: unknown;
            };
            confirmed?: string[];
        };
        RevealedNumber: {
            ssn: string;
        };
        ReviewRow: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            /** @enum {string} */
            kind: "first" | "missing" | "moved" | "same";
            gross: number;
            net: number;
            grossChange: number;
            netChange: number;
            causes: string[];
            unusual: string | null;
        };
        CashNeed: {
            what: string;
            /** Format: date */
            day: string | null;
            amount: number;
        };
        SupplementalWay: {
            /** @enum {string} */
            method: "flat" | "aggregate";
            amount: number;
            incomeTax: number;
            net: number;
            problem: string;
        };
        SupplementalView: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            /** @enum {string} */
            chosen: "flat" | "aggregate";
            ways: components["schemas"]["SupplementalWay"][];
        };
        ReviewView: {
            /** Format: date */
            against: string | null;
            rows: components["schemas"]["ReviewRow"][];
            cash: components["schemas"]["CashNeed"][];
            supplemental: components["schemas"]["SupplementalView"][];
            cost: number;
        };
        ClientHoursPerson: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            says: string;
            note: string;
            isTaken: boolean;
        };
        ClientHoursView: {
            people: components["schemas"]["ClientHoursPerson"][];
            by: string;
            at: string | null;
            approvedBy: string | null;
            approvedAt: string | null;
            isApprovalCurrent: boolean;
        };
        EmployerTaxView: {
            tax: string;
            label: string;
            wages: number;
            amount: number;
        };
        JournalLineView: {
            account: string;
            label: string;
            detail: string;
            amount: number;
        };
        JobCostView: {
            job: string;
            gross: number;
            employerTaxes: number;
            employerPaid: number;
        };
        ClosedPeriod: {
            what: string;
            follows: string;
        };
        PayrollView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            /** Format: date */
            periodStart: string;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            checkDate: string;
            /** @enum {string} */
            kind: "regular" | "extra" | "recorded" | "brought-in" | "void";
            /** @enum {string} */
            status: "open" | "reviewed" | "posted";
            people: number;
            gross: number;
            net: number;
            version: number;
            schedule: string;
            part: string;
            isVoid: boolean;
            /** Format: uuid */
            voids: string | null;
            clientName: string;
            einTail: string;
            payFrequency: string;
            persons: components["schemas"]["PayrollPerson"][];
            own: {
                [key: string]: unknown;
            };
            employerTaxes: components["schemas"]["EmployerTaxView"][];
            journal: components["schemas"]["JournalLineView"][];
            jobs: components["schemas"]["JobCostView"][];
            closed: components["schemas"]["ClosedPeriod"][];
            closedReason: string | null;
            columns: string[];
        };
        ReadHoursFile: {
            fileName: string;
            content: string;
            version: number;
            headingRow?: number;
            columns?: string[];
            codes?: {
                [key: string]: unknown;
            };
            isTaken: boolean;
        };
        HoursRowView: {
            row: number;
            who: string;
            /** Format: uuid */
            employeeId: string | null;
            person: string;
            says: string;
            problems: components["schemas"]["ProblemDetail"][];
        };
        HoursTotalView: {
            label: string;
            /** @enum {string} */
            measure: "hours" | "amount";
            file: string;
            taken: string;
        };
        HoursFileView: {
            headingRow: number;
            headings: string[];
            columns: string[];
            choices: components["schemas"]["HoursChoice"][];
            items: components["schemas"]["HoursChoice"][];
            codes: {
                [key: string]: unknown;
            };
            unknownCodes: string[];
            rows: components["schemas"]["HoursRowView"][];
            rowCount: number;
            wrong: number;
            people: number;
            missing: string[];
            totals: components["schemas"]["HoursTotalView"][];
            problems: components["schemas"]["ProblemDetail"][];
            isTaken: boolean;
        };
        PayrollRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            /** Format: date */
            periodStart: string;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            checkDate: string;
            /** @enum {string} */
            kind: "regular" | "extra" | "recorded" | "brought-in" | "void";
            /** @enum {string} */
            status: "open" | "reviewed" | "posted";
            people: number;
            gross: number;
            net: number;
            version: number;
            schedule: string;
            part: string;
            isVoid: boolean;
            /** Format: uuid */
            voids: string | null;
        };
        RecomputedTotal: {
            tax: string;
            label: string;
            /** @enum {string} */
            payer: "employee" | "employer";
            posted: number;
            now: number;
            checks: number;
        };
        RecomputedTax: {
            tax: string;
            label: string;
            /** @enum {string} */
            payer: "employee" | "employer";
            posted: number;
            now: number;
        };
        RecomputedCheck: {
            /** Format: uuid */
            payrollId: string;
            /** Format: uuid */
            employeeId: string;
            name: string;
            /** Format: date */
            checkDate: string;
            taxes: components["schemas"]["RecomputedTax"][];
            causes: string[];
            problem: string;
        };
        RecomputedView: {
            year: number;
            looked: number;
            totals: components["schemas"]["RecomputedTotal"][];
            checks: components["schemas"]["RecomputedCheck"][];
            /** @enum {string} */
            foundBy: "rate" | "review";
            more: number;
            closed: components["schemas"]["ClosedPeriod"][];
        };
        PayrollSuggestion: {
            schedule: string;
            schedules: string[];
            /** Format: date */
            periodStart: string;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            checkDate: string;
            why: string;
        };
        CreatePayroll: {
            /** Format: date */
            periodStart: string;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            checkDate: string;
            /** @enum {string} */
            kind: "regular" | "extra" | "recorded";
            schedule?: string;
            /** Format: uuid */
            copyOf?: string;
        };
        KeepSheetColumns: {
            columns: string[];
        };
        LatestPayroll: {
            version: number;
            /** @enum {string} */
            status: "open" | "reviewed" | "posted";
            by: string;
            isOwn: boolean;
        };
        SplitPayroll: {
            version: number;
            /** @enum {string} */
            by: "department" | "location" | "costCentre";
            name: string;
        };
        AskDifference: {
            /** Format: uuid */
            paycheckId: string;
            earnings: components["schemas"]["EntryEarning"][];
        };
        CheckDifferenceRow: {
            label: string;
            /** @enum {string} */
            kind: "pay" | "withheld" | "employer" | "deduction";
            posted: number;
            should: number;
        };
        CheckDifference: {
            name: string;
            /** Format: date */
            checkDate: string;
            typed: components["schemas"]["EntryEarning"][];
            rows: components["schemas"]["CheckDifferenceRow"][];
            lines: components["schemas"]["EntryEarning"][];
            isOverpaid: boolean;
            problems: string[];
        };
        PayDifference: {
            /** Format: uuid */
            paycheckId: string;
            earnings: components["schemas"]["EntryEarning"][];
            /** Format: date */
            checkDate: string;
        };
        PayrollEntry: {
            /** Format: uuid */
            employeeId: string;
            isPaid: boolean;
            earnings: components["schemas"]["EntryEarning"][];
            deductions: components["schemas"]["EntryDeduction"][];
            leftOut?: components["schemas"]["LeftOutLine"][];
            overridden?: components["schemas"]["OverriddenLine"][];
            withheld?: components["schemas"]["WithheldLine"][];
            unread?: components["schemas"]["UnreadLine"];
        };
        SavePayroll: {
            version: number;
            entries: components["schemas"]["PayrollEntry"][];
        };
        ReviewPayroll: {
            version: number;
            confirmed?: string[];
        };
        PostPayroll: {
            version: number;
            closedReason?: string;
        };
        TapeLineView: {
            label: string;
            value: string;
            how?: string;
            rounding?: string;
            isResult?: boolean;
            parameter?: {
                [key: string]: unknown;
            };
        };
        WorkingView: {
            title: string;
            lines: components["schemas"]["TapeLineView"][];
        };
        TaxTypeView: {
            family: string;
            code: string;
        };
        PaidFamilyView: {
            family: string;
            label: string;
            usualTaxType: string;
        };
        AgencyPaymentView: {
            /** @enum {string} */
            method: "ach-credit" | "agency-debit" | "elsewhere";
            name: string;
            routing: string;
            account: string;
            /** @enum {string} */
            identification: "account" | "ein";
            filerNumber: string;
            mailTo: string;
            taxTypes: components["schemas"]["TaxTypeView"][];
            version: number;
            agency: string;
            agencyName: string;
            state: string;
            families: components["schemas"]["PaidFamilyView"][];
            clients: number;
        };
        SaveAgencyPayment: {
            /** @enum {string} */
            method: "ach-credit" | "agency-debit" | "elsewhere";
            name: string;
            routing: string;
            account: string;
            /** @enum {string} */
            identification: "account" | "ein";
            filerNumber: string;
            mailTo: string;
            taxTypes: components["schemas"]["TaxTypeView"][];
            version: number;
        };
        EnrollmentView: {
            /** Format: uuid */
            id: string;
            agency: string;
            agencyName: string;
            /** Format: uuid */
            bankAccountId: string;
            bankAccount: string;
            /** @enum {string} */
            status: "asked" | "enrolled" | "refused" | "ended";
            /** Format: date */
            askedOn: string;
            /** Format: date */
            answeredOn: string | null;
            /** Format: date */
            endedOn: string | null;
            daysWaited: number | null;
            reason: string | null;
            version: number;
        };
        DebitAgencyView: {
            agency: string;
            agencyName: string;
        };
        EnrollmentsView: {
            enrollments: components["schemas"]["EnrollmentView"][];
            agencies: components["schemas"]["DebitAgencyView"][];
        };
        AskEnrollment: {
            agency: string;
            /** Format: uuid */
            bankAccountId: string;
            /** Format: date */
            askedOn: string;
        };
        EnrollmentAct: {
            /** @enum {string} */
            act: "enroll" | "refuse" | "end";
            version: number;
            /** Format: date */
            on: string;
            pin: string;
            reason: string;
        };
        BookLineView: {
            account: string;
            isMapped: boolean;
            department: string;
            detail: string;
            amount: number;
        };
        BookEntryView: {
            key: string;
            /** Format: date */
            day: string;
            memo: string;
            path: string;
            exportNumber: number | null;
            lines: components["schemas"]["BookLineView"][];
        };
        JournalExportRow: {
            /** Format: uuid */
            id: string;
            number: number;
            /** Format: date */
            upTo: string;
            unit: string;
            entries: number;
            by: string;
            at: string;
        };
        JournalView: {
            entries: components["schemas"]["BookEntryView"][];
            unmapped: string[];
            exports: components["schemas"]["JournalExportRow"][];
            waiting: number;
            /** Format: date */
            lastWaiting: string | null;
        };
        ExportJournal: {
            /** Format: date */
            upTo: string;
            /** @enum {string} */
            unit: "entry" | "month";
        };
        ReportListing: {
            code: string;
            label: string;
            says: string;
            groups: string[];
        };
        ReportColumn: {
            key: string;
            label: string;
            /** @enum {string} */
            cell: "text" | "day" | "amount" | "hours" | "count";
        };
        ReportRow: {
            cells: {
                [key: string]: unknown;
            };
            path: string;
        };
        ReportView: {
            code: string;
            label: string;
            /** Format: date */
            from: string;
            /** Format: date */
            to: string;
            by: string;
            columns: components["schemas"]["ReportColumn"][];
            rows: components["schemas"]["ReportRow"][];
            totals: {
                [key: string]: unknown;
            } | null;
            count: number | null;
            page: number;
            hasMore: boolean;
        };
        ReportTotals: {
            totals: {
                [key: string]: unknown;
            };
            count: number;
        };
        VoidableCheck: {
            /** Format: uuid */
            paycheckId: string;
            /** Format: uuid */
            employeeId: string;
            number: string;
            name: string;
            gross: number;
            net: number;
            /** @enum {string} */
            standing: "stands" | "proposed" | "void" | "repaid";
            /** Format: uuid */
            voidId: string | null;
            paid: string;
            cashed: number;
            kept: number;
        };
        VoidsOfPayroll: {
            /** Format: uuid */
            payrollId: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            einTail: string;
            /** Format: date */
            checkDate: string;
            kind: string;
            checks: components["schemas"]["VoidableCheck"][];
        };
        AskVoid: {
            paycheckIds: string[];
            repaid?: number;
        };
        VoidFigure: {
            label: string;
            /** @enum {string} */
            kind: "pay" | "tax" | "employer" | "deduction" | "leave";
            amount: number;
        };
        VoidLiability: {
            tax: string;
            label: string;
            familyLabel: string;
            openBefore: number;
            change: number;
            openAfter: number;
        };
        VoidEffects: {
            figures: components["schemas"]["VoidFigure"][];
            liabilities: components["schemas"]["VoidLiability"][];
            closed: components["schemas"]["ClosedPeriod"][];
            follows: components["schemas"]["ClosedPeriod"][];
            isWhole: boolean;
        };
        ProposeVoid: {
            paycheckIds: string[];
            repaid?: number;
            reason: string;
        };
        VoidView: {
            /** Format: uuid */
            payrollId: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            einTail: string;
            /** Format: date */
            checkDate: string;
            kind: string;
            checks: components["schemas"]["VoidableCheck"][];
            /** Format: uuid */
            id: string;
            /** @enum {string} */
            status: "proposed" | "posted" | "withdrawn";
            version: number;
            reason: string;
            preparedBy: string;
            postedBy: string | null;
            repaid: number | null;
            refunded: number;
            /** Format: uuid */
            voidPayrollId: string | null;
            /** Format: uuid */
            againPayrollId: string | null;
            effects: components["schemas"]["VoidEffects"];
            slip: components["schemas"]["ReleaseSlip"];
        };
        PayAgain: {
            /** Format: date */
            checkDate: string;
            /** Format: uuid */
            employeeId?: string;
        };
        LateWayView: {
            label: string;
            /** Format: date */
            settles: string;
            daysLate: number;
            penalty: number;
            rule: string;
            how: string;
        };
        ReliefView: {
            label: string;
            needs: string;
            source: string;
        };
        LateDeposit: {
            ways: components["schemas"]["LateWayView"][];
            withheld: number;
            relief: components["schemas"]["ReliefView"][];
        };
        LiabilityView: {
            tax: string;
            label: string;
            /** Format: date */
            liabilityDate: string;
            owed: number;
            underWay: number;
        };
        DepositView: {
            isCredit: boolean;
            family: string;
            familyLabel: string;
            agency: string;
            agencyName: string;
            /** Format: date */
            due: string | null;
            /** Format: date */
            sendBy: string | null;
            /** Format: date */
            lastToSend: string | null;
            /** Format: date */
            settles: string;
            rule: string;
            question: components["schemas"]["ProblemDetail"] | null;
            owed: number;
            underWay: number;
            isLate: boolean;
            late: components["schemas"]["LateDeposit"] | null;
            liabilities: components["schemas"]["LiabilityView"][];
        };
        RemittanceRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            einTail: string;
            reference: string;
            agencyName: string;
            familyLabel: string;
            amount: number;
            /** Format: date */
            due: string;
            /** Format: date */
            settles: string;
            /** @enum {string} */
            status: "planned" | "approved" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            confirmation: string | null;
            returnedReason: string | null;
        };
        PlanItem: {
            tax: string;
            /** Format: date */
            liabilityDate: string;
        };
        PlanRemittance: {
            items: components["schemas"]["PlanItem"][];
            /** Format: uuid */
            bankAccountId: string;
            /** Format: date */
            settles: string;
        };
        RemittanceItemView: {
            tax: string;
            /** Format: date */
            liabilityDate: string;
            label: string;
            amount: number;
        };
        CheckOfRemittance: {
            /** Format: uuid */
            id: string;
            number: number;
            status: string;
        };
        RemittanceView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            einTail: string;
            reference: string;
            agencyName: string;
            familyLabel: string;
            amount: number;
            /** Format: date */
            due: string;
            /** Format: date */
            settles: string;
            /** @enum {string} */
            status: "planned" | "approved" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            confirmation: string | null;
            returnedReason: string | null;
            items: components["schemas"]["RemittanceItemView"][];
            preparedBy: string;
            approvedBy: string | null;
            releasedBy: string | null;
            bankAccount: string;
            delivery: string | null;
            /** @enum {string} */
            method: "ach-credit" | "agency-debit" | "elsewhere";
            /** Format: date */
            paidElsewhereOn: string | null;
            /** Format: uuid */
            bankAccountId: string;
            check: components["schemas"]["CheckOfRemittance"] | null;
        };
        RecordPaid: {
            version: number;
            /** Format: date */
            paidOn: string;
            confirmation: string;
        };
        UnrecordPaid: {
            version: number;
            reason: string;
        };
        CaseRow: {
            /** Format: uuid */
            id: string;
            what: string;
            /** Format: date */
            since: string;
            /** Format: date */
            foundOn: string;
            /** @enum {string} */
            status: "open" | "closed";
            left: number;
        };
        OpenCase: {
            what: string;
            /** Format: date */
            since: string;
            /** @enum {string} */
            foundBy: "tie-out" | "notice" | "returned" | "client" | "employee" | "rate" | "review";
            evidence: string;
        };
        ConsequenceView: {
            /** Format: uuid */
            id: string;
            /** @enum {string} */
            kind: "return" | "deposit" | "credit" | "copy" | "refund" | "recovery" | "letter" | "interest" | "own-return" | "other";
            title: string;
            amount: number | null;
            /** Format: date */
            due: string | null;
            path: string;
            /** @enum {string} */
            status: "open" | "done" | "refused";
            why: string;
            isDerived: boolean;
            settledBy: string | null;
            settledAt: string | null;
        };
        CorrectionCase: {
            what: string;
            /** Format: date */
            since: string;
            /** @enum {string} */
            foundBy: "tie-out" | "notice" | "returned" | "client" | "employee" | "rate" | "review";
            evidence: string;
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            /** Format: date */
            foundOn: string;
            /** @enum {string} */
            status: "open" | "closed";
            version: number;
            openedBy: string;
            ended: string;
            consequences: components["schemas"]["ConsequenceView"][];
        };
        AddConsequence: {
            /** @enum {string} */
            kind: "refund" | "recovery" | "letter" | "interest" | "own-return" | "other";
            title: string;
            amount: number | null;
            /** Format: date */
            due: string | null;
        };
        SettleConsequence: {
            /** @enum {string} */
            status: "open" | "done" | "refused";
            why: string;
        };
        MoveCase: {
            version: number;
            why: string;
        };
        NoticeLine: {
            label: string;
            detail: string;
            amount: number;
        };
        NoticeView: {
            agency: string;
            number: string;
            /** @enum {string} */
            kind: "balance-due" | "penalty" | "return-missing" | "rate" | "information" | "other";
            /** Format: date */
            datedOn: string;
            /** Format: date */
            respondBy: string | null;
            period: string;
            amount: number | null;
            says: string;
            replyTo: string;
            /** Format: uuid */
            filingId: string | null;
            /** Format: uuid */
            id: string;
            /** @enum {string} */
            status: "open" | "answered" | "closed";
            version: number;
            agencyName: string;
            filingTitle: string | null;
            answer: string;
            /** Format: date */
            answeredOn: string | null;
            ended: string;
            ledger: components["schemas"]["NoticeLine"][];
        };
        NoticeAgency: {
            code: string;
            name: string;
        };
        NoticeReturn: {
            /** Format: uuid */
            id: string;
            title: string;
            agency: string;
        };
        NoticesView: {
            notices: components["schemas"]["NoticeView"][];
            agencies: components["schemas"]["NoticeAgency"][];
            returns: components["schemas"]["NoticeReturn"][];
        };
        RecordNotice: {
            agency: string;
            number: string;
            /** @enum {string} */
            kind: "balance-due" | "penalty" | "return-missing" | "rate" | "information" | "other";
            /** Format: date */
            datedOn: string;
            /** Format: date */
            respondBy: string | null;
            period: string;
            amount: number | null;
            says: string;
            replyTo: string;
            /** Format: uuid */
            filingId: string | null;
        };
        AnswerNotice: {
            version: number;
            answer: string;
        };
        MoveNotice: {
            version: number;
            why: string;
        };
        GarnishmentPayeeView: {
            name: string;
            tail: string;
            clients: number;
        };
        SaveGarnishmentPayee: {
            name: string;
            routing: string;
            account: string;
        };
        GarnishedView: {
            /** Format: uuid */
            paycheckId: string;
            employee: string;
            label: string;
            caseId: string;
            /** Format: date */
            checkDate: string;
            amount: number;
        };
        OwedToPayee: {
            payee: string;
            isAch: boolean;
            isSupport: boolean;
            /** Format: date */
            due: string;
            /** Format: date */
            settles: string;
            amount: number;
            items: components["schemas"]["GarnishedView"][];
        };
        GarnishmentPaymentRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            payee: string;
            reference: string;
            amount: number;
            /** Format: date */
            due: string;
            /** Format: date */
            settles: string;
            /** @enum {string} */
            status: "planned" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            /** Format: date */
            paidElsewhereOn: string | null;
            confirmation: string | null;
            returnedReason: string | null;
        };
        GarnishmentsView: {
            owed: components["schemas"]["OwedToPayee"][];
            withoutPayee: components["schemas"]["GarnishedView"][];
            payments: components["schemas"]["GarnishmentPaymentRow"][];
        };
        PlanGarnishmentPayment: {
            payee: string;
            amount: number;
            /** Format: uuid */
            bankAccountId: string;
            /** Format: date */
            settles: string;
        };
        GarnishmentPaymentView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            payee: string;
            reference: string;
            amount: number;
            /** Format: date */
            due: string;
            /** Format: date */
            settles: string;
            /** @enum {string} */
            status: "planned" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            /** Format: date */
            paidElsewhereOn: string | null;
            confirmation: string | null;
            returnedReason: string | null;
            items: components["schemas"]["GarnishedView"][];
            isAch: boolean;
            bankAccount: string;
            preparedBy: string;
            releasedBy: string | null;
            delivery: string | null;
        };
        GarnishmentPaymentAct: {
            version: number;
        };
        RecordGarnishmentPaid: {
            version: number;
            /** Format: date */
            paidOn: string;
            confirmation: string;
        };
        EmployeeSignIn: {
            /** @enum {string} */
            state: "none" | "invited" | "open" | "closed";
            email: string;
            linkUntil: string | null;
        };
        InviteEmployee: {
            email: string;
        };
        InvitedEmployee: {
            address: string;
            signIn: components["schemas"]["EmployeeSignIn"];
        };
        OpenSignIn: {
            isOpen: boolean;
        };
        WelcomeView: {
            name: string;
            email: string;
            firmName: string;
        };
        SetFirstPassword: {
            password: string;
        };
        OwnStatement: {
            /** Format: uuid */
            paycheckId: string;
            /** Format: date */
            checkDate: string;
            /** Format: date */
            periodStart: string;
            /** Format: date */
            periodEnd: string;
            gross: number;
            net: number;
        };
        OwnWageStatement: {
            /** Format: uuid */
            filingId: string;
            year: string;
            /** @enum {string} */
            form: "W-2" | "W-2c";
        };
        OwnFact: {
            label: string;
            says: string;
            /** Format: date */
            from: string;
        };
        OwnPay: {
            name: string;
            employer: string;
            statements: components["schemas"]["OwnStatement"][];
            wageStatements: components["schemas"]["OwnWageStatement"][];
            /** Format: date */
            electronicSince: string | null;
            facts: components["schemas"]["OwnFact"][];
        };
        GiveConsent: {
            isElectronic: boolean;
        };
        AttachmentRow: {
            /** Format: uuid */
            id: string;
            name: string;
            bytes: number;
            addedBy: string;
            addedAt: string;
        };
        AddAttachment: {
            /** @enum {string} */
            subject: "notice" | "correction-case" | "remittance" | "client";
            /** Format: uuid */
            subjectId: string;
            fileName: string;
            content: string;
        };
        FeeLineView: {
            label: string;
            count: number;
            price: number;
            amount: number;
        };
        InvoiceView: {
            /** Format: uuid */
            id: string;
            number: string;
            /** Format: date */
            issuedOn: string;
            /** Format: date */
            due: string;
            total: number;
            isCollected: boolean;
            /** @enum {string} */
            status: "issued" | "paid" | "voided";
            version: number;
            /** Format: date */
            paidOn: string | null;
            reference: string | null;
        };
        FeesOfMonth: {
            /** Format: uuid */
            clientId: string;
            clientName: string;
            lines: components["schemas"]["FeeLineView"][];
            total: number;
            invoice: components["schemas"]["InvoiceView"] | null;
        };
        InvoicesOfMonth: {
            month: string;
            isOver: boolean;
            rows: components["schemas"]["FeesOfMonth"][];
            without: number;
        };
        IssueInvoices: {
            month: string;
            clientIds: string[];
        };
        InvoicePaid: {
            version: number;
            /** Format: date */
            paidOn: string;
            reference: string;
        };
        InvoiceReason: {
            version: number;
            reason: string;
        };
        CalendarFeedRow: {
            /** Format: uuid */
            id: string;
            of: string;
            madeAt: string;
        };
        MakeCalendarFeed: {
            /** Format: uuid */
            clientId: string | null;
        };
        MadeCalendarFeed: {
            /** Format: uuid */
            id: string;
            address: string;
        };
        TrustAccountView: {
            /** Format: uuid */
            id: string;
            label: string;
            bankName: string;
            tail: string;
        };
        HeldOfClient: {
            /** Format: uuid */
            clientId: string;
            clientName: string;
            balance: number;
            usable: number;
            coming: number;
            advanced: number;
        };
        TrustView: {
            account: components["schemas"]["TrustAccountView"] | null;
            clients: components["schemas"]["HeldOfClient"][];
            ofClients: number;
            ofFirm: number;
            book: number;
            /** Format: date */
            statementDay: string | null;
            /** Format: date */
            reconciledDay: string | null;
            unexplained: number;
        };
        SaveTrustAccount: {
            label: string;
            bankName: string;
            routing: string;
            account: string;
        };
        TrustEntryView: {
            /** Format: uuid */
            id: string;
            /** Format: date */
            day: string;
            /** @enum {string} */
            kind: "collected" | "collection-returned" | "tax-payment" | "tax-payment-returned" | "net-pay" | "net-pay-returned" | "received" | "refunded" | "advance-received" | "advance-repaid" | "advance-given" | "advance-recovered" | "fee-taken" | "fee-given-back" | "fee-earned" | "fee-returned" | "firm-paid-in" | "firm-drew" | "bank-charge" | "interest";
            label: string;
            /** Format: uuid */
            clientId: string | null;
            whose: string;
            reference: string;
            memo: string;
            amount: number;
            balance: number;
            /** Format: date */
            cleared: string | null;
            mayReverse: boolean;
        };
        RecordTrustEntry: {
            /** @enum {string} */
            kind: "received" | "refunded" | "firm-paid-in" | "firm-drew" | "bank-charge" | "interest";
            /** Format: uuid */
            clientId: string | null;
            /** Format: date */
            day: string;
            amount: number;
            reference: string;
            memo: string;
        };
        ReverseTrustEntry: {
            reason: string;
        };
        AdvanceFunds: {
            amount: number;
            reason: string;
        };
        ReadTrustStatement: {
            fileName: string;
            content: string;
            isTaken: boolean;
        };
        TrustLineView: {
            /** Format: uuid */
            id: string | null;
            /** Format: date */
            day: string;
            amount: number;
            reference: string;
            description: string;
            isNew: boolean;
        };
        TrustStatementView: {
            lines: components["schemas"]["TrustLineView"][];
            added: number;
            matched: number;
            /** Format: date */
            lastDay: string | null;
            unread: string[];
            isTaken: boolean;
        };
        MatchLine: {
            /** Format: uuid */
            lineId: string;
            entryIds: string[];
        };
        OutstandingView: {
            /** Format: uuid */
            id: string;
            /** Format: date */
            day: string;
            whose: string;
            label: string;
            reference: string;
            amount: number;
        };
        ReconciliationView: {
            /** Format: date */
            day: string;
            bank: number;
            outstanding: components["schemas"]["OutstandingView"][];
            unexplained: components["schemas"]["TrustLineView"][];
            adjusted: number;
            book: number;
            clients: number;
            firm: number;
            difference: number;
            isReconciled: boolean;
            balances: components["schemas"]["HeldOfClient"][];
            keptBy: string | null;
        };
        KeepReconciliation: {
            /** Format: date */
            day: string;
        };
        TermsView: {
            /** @enum {string} */
            what: "taxes" | "taxes-and-net-pay";
            accountTail: string;
            entryClass: string;
            /** Format: date */
            authorizedOn: string;
            signedBy: string;
            most: number | null;
            daysBefore: number;
            holdDays: number;
        };
        NeedView: {
            /** Format: uuid */
            payrollId: string | null;
            /** Format: uuid */
            invoiceId: string | null;
            /** Format: date */
            checkDate: string;
            /** @enum {string} */
            what: "taxes" | "net-pay" | "fees";
            amount: number;
        };
        CollectingView: {
            lines: components["schemas"]["NeedView"][];
            advance: number;
            amount: number;
            /** Format: date */
            wanted: string | null;
            /** Format: date */
            settles: string;
            /** Format: date */
            usable: string;
            problems: components["schemas"]["ProblemDetail"][];
        };
        CollectionRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            /** @enum {string} */
            kind: "debit" | "prenote";
            reference: string;
            amount: number;
            /** Format: date */
            settles: string;
            /** Format: date */
            usable: string;
            /** @enum {string} */
            status: "planned" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            retries: number;
            confirmation: string | null;
            returnedReason: string | null;
        };
        FundsView: {
            terms: components["schemas"]["TermsView"] | null;
            debits: string | null;
            trust: components["schemas"]["TrustAccountView"] | null;
            balance: number;
            usable: number;
            advanced: number;
            next: components["schemas"]["CollectingView"] | null;
            collections: components["schemas"]["CollectionRow"][];
            entries: components["schemas"]["TrustEntryView"][];
        };
        PlanCollection: {
            amount: number;
            /** Format: date */
            settles: string;
        };
        CollectionView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            /** @enum {string} */
            kind: "debit" | "prenote";
            reference: string;
            amount: number;
            /** Format: date */
            settles: string;
            /** Format: date */
            usable: string;
            /** @enum {string} */
            status: "planned" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            retries: number;
            confirmation: string | null;
            returnedReason: string | null;
            items: components["schemas"]["NeedView"][];
            advance: number;
            bankAccount: string;
            preparedBy: string;
            releasedBy: string | null;
            delivery: string | null;
            then: string | null;
            mayRetry: boolean;
        };
        CollectionAct: {
            version: number;
        };
        AccountPart: {
            label: string;
            tail: string;
            amount: number;
            isReady: boolean;
            /** @enum {string} */
            standing: "wanted" | "sent" | "confirmed" | "waived" | "returned";
            cameBack: string | null;
        };
        PersonPay: {
            /** Format: uuid */
            employeeId: string;
            number: string;
            name: string;
            net: number;
            deposits: components["schemas"]["AccountPart"][];
            check: number;
        };
        DirectDepositRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            /** @enum {string} */
            kind: "pay" | "prenotes" | "reversal";
            /** Format: uuid */
            payrollId: string | null;
            reference: string;
            entries: number;
            amount: number;
            /** Format: date */
            settles: string;
            /** @enum {string} */
            status: "planned" | "released" | "settled" | "returned" | "withdrawn";
            version: number;
            bankAccount: string;
            preparedBy: string;
            releasedBy: string | null;
            confirmation: string | null;
            returnedReason: string | null;
            delivery: string | null;
        };
        CameBack: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            amount: number;
            to: string;
            ready: number;
        };
        PayrollPay: {
            people: components["schemas"]["PersonPay"][];
            deposits: number;
            checks: number;
            file: components["schemas"]["DirectDepositRow"] | null;
            /** Format: uuid */
            payFrom: string | null;
            cameBack: components["schemas"]["CameBack"][];
            again: components["schemas"]["DirectDepositRow"][];
        };
        PlanDirectDeposit: {
            /** Format: uuid */
            bankAccountId: string;
        };
        PrenoteAccount: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            label: string;
            tail: string;
            /** @enum {string} */
            standing: "wanted" | "sent" | "confirmed" | "waived" | "returned";
            /** Format: date */
            confirmedOn: string | null;
            cameBack: string | null;
        };
        PrenoteView: {
            accounts: components["schemas"]["PrenoteAccount"][];
            files: components["schemas"]["DirectDepositRow"][];
        };
        AccountChangeView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            employeeId: string;
            name: string;
            account: string;
            says: string;
            correction: string | null;
            /** Format: date */
            receivedOn: string;
            /** Format: date */
            correctBy: string;
            /** @enum {string} */
            status: "open" | "applied" | "declined";
            reason: string | null;
            version: number;
        };
        DecideAccountChange: {
            /** @enum {string} */
            act: "apply" | "decline";
            version: number;
            reason: string;
        };
        ReversalEntry: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            label: string;
            tail: string;
            amount: number;
            cameBack: string | null;
        };
        VoidReversal: {
            entries: components["schemas"]["ReversalEntry"][];
            amount: number;
            /** Format: date */
            until: string | null;
            mayPlan: boolean;
            file: components["schemas"]["DirectDepositRow"] | null;
        };
        FilingRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            einTail: string;
            kind: string;
            title: string;
            noun: string;
            period: string;
            /** @enum {string} */
            status: "draft" | "checked" | "released" | "received" | "accepted" | "rejected";
            attempt: number;
            version: number;
            /** Format: date */
            due: string;
        };
        FormOwed: {
            kind: string;
            title: string;
            noun: string;
            period: string;
            /** Format: date */
            periodEnd: string;
            /** Format: date */
            due: string;
            isOver: boolean;
            files: boolean;
            why: string;
            isElsewhere: boolean;
            /** Format: uuid */
            filingId: string | null;
            /** @enum {string|null} */
            status: "draft" | "checked" | "released" | "received" | "accepted" | "rejected" | null;
        };
        CountedReturn: {
            code: string;
            name: string;
            count: number;
        };
        EfileDuty: {
            year: number;
            returns: components["schemas"]["CountedReturn"][];
            total: number;
            from: number;
            mustEfile: boolean;
            rule: string;
        };
        CorrectionDue: {
            /** Format: uuid */
            filingId: string | null;
            title: string;
            kind: string;
            name: string;
            period: string;
            differs: number;
            change: number;
            /** Format: date */
            due: string | null;
            /** Format: uuid */
            openId: string | null;
            /** @enum {string|null} */
            openStatus: "draft" | "checked" | "released" | "received" | "accepted" | "rejected" | null;
        };
        CreateFiling: {
            kind: string;
            period: string;
        };
        TickMarkView: {
            /** Format: uuid */
            id: string;
            line: string;
            /** @enum {string} */
            mark: "traced" | "footed" | "agreed" | "queried";
            note: string;
            by: string;
            /** Format: uuid */
            byId: string;
            isReviewer: boolean;
            at: string;
            isCracked: boolean;
        };
        WorkingLine: {
            id: string;
            label: string;
            /** @enum {string} */
            kind: "count" | "amount";
            value: number;
            before: number | null;
            yearBefore: number | null;
            marks: components["schemas"]["TickMarkView"][];
        };
        EffectiveRateView: {
            tax: string;
            label: string;
            wages: number;
            amount: number;
            percent: string;
            percentBefore: string;
        };
        ReportedWagesView: {
            title: string;
            line: string;
            label: string;
            /** @enum {string} */
            of: "income-tax" | "medicare" | "unemployment";
            wages: number;
            isFederal: boolean;
            /** Format: uuid */
            filingId: string | null;
        };
        ExcessView: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            wages: number;
            excess: number;
            yearWages: number;
            yearTaxable: number;
            says: string;
        };
        WorkingPapersView: {
            /** Format: uuid */
            filingId: string;
            title: string;
            clientName: string;
            /** Format: uuid */
            clientId: string;
            status: string;
            periodBefore: string;
            periodYearBefore: string;
            lines: components["schemas"]["WorkingLine"][];
            rates: components["schemas"]["EffectiveRateView"][];
            wages: components["schemas"]["ReportedWagesView"][];
            excess: components["schemas"]["ExcessView"][];
            toMark: string[];
            held: string[];
            mayMark: boolean;
        };
        MakeMark: {
            line: string;
            /** @enum {string} */
            mark: "traced" | "footed" | "agreed" | "queried";
            note: string;
        };
        ClearMark: {
            answer: string;
        };
        ReturnLineView: {
            id: string;
            label: string;
            value: number;
            /** @enum {string} */
            kind: "count" | "amount";
            working: components["schemas"]["TapeLineView"][];
            before: number | null;
            taxes: string | null;
            /** @enum {string|null} */
            of: "liabilities" | "payments" | null;
        };
        FilingColumn: {
            label: string;
            /** @enum {string} */
            kind: "text" | "day" | "amount";
        };
        FilingTableView: {
            title: string;
            columns: components["schemas"]["FilingColumn"][];
            rows: {
                [key: string]: unknown;
            };
            isList: boolean;
        };
        W2Row: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            ssnTail: string;
            box1: number;
            box2: number;
            box3: number;
            box4: number;
            box5: number;
            box6: number;
            box7: number;
            box8: number;
            box10: number;
            box11: number;
            box12: string;
            box14: string;
            state: string;
            box16: number;
            box17: number;
            box18: number;
            box19: number;
            box20: string;
            isHere: boolean;
        };
        W3Totals: {
            box1: number;
            box2: number;
            box3: number;
            box4: number;
            box5: number;
            box6: number;
            box7: number;
            box8: number;
            box10: number;
            box11: number;
            box16: number;
            box17: number;
            box18: number;
            box19: number;
        };
        W2Page: {
            rows: components["schemas"]["W2Row"][];
            found: number;
            total: number;
            totals: components["schemas"]["W3Totals"];
            hasLocals: boolean;
            hasOthers: boolean;
        };
        AskedAmountView: {
            name: string;
            amount: number;
            line: string;
            label: string;
            help: string;
        };
        QuestionChoice: {
            value: string;
            label: string;
        };
        AskedQuestionView: {
            name: string;
            answer: string;
            label: string;
            help: string;
            /** @enum {string} */
            kind: "choice" | "day" | "text";
            choices: components["schemas"]["QuestionChoice"][];
        };
        FiledLine: {
            id: string;
            label: string;
            /** @enum {string} */
            kind: "count" | "amount";
            filed: number;
            now: number;
        };
        CorrectionRef: {
            /** Format: uuid */
            id: string;
            title: string;
            /** @enum {string} */
            status: "draft" | "checked" | "released" | "received" | "accepted" | "rejected";
        };
        CorrectionView: {
            kind: string;
            name: string;
            differs: number;
            lines: components["schemas"]["FiledLine"][];
            corrections: components["schemas"]["CorrectionRef"][];
        };
        StatementCopy: {
            /** Format: uuid */
            employeeId: string;
            name: string;
        };
        ReturnBalance: {
            amount: number;
            from: string | null;
            /** Format: date */
            on: string | null;
        };
        FilingEventView: {
            at: string;
            stage: string;
            code: string | null;
            message: string;
            field: string | null;
            attempt: number;
        };
        FilingView: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            clientName: string;
            einTail: string;
            kind: string;
            title: string;
            noun: string;
            period: string;
            /** @enum {string} */
            status: "draft" | "checked" | "released" | "received" | "accepted" | "rejected";
            attempt: number;
            version: number;
            /** Format: date */
            due: string;
            lines: components["schemas"]["ReturnLineView"][];
            beforePeriod: string | null;
            tables: components["schemas"]["FilingTableView"][];
            w2s: components["schemas"]["W2Page"] | null;
            asks: components["schemas"]["AskedAmountView"][];
            questions: components["schemas"]["AskedQuestionView"][];
            correction: components["schemas"]["CorrectionView"] | null;
            copies: components["schemas"]["StatementCopy"][];
            isElsewhere: boolean;
            typed: components["schemas"]["StatementCopy"][] | null;
            /** Format: uuid */
            correctsId: string | null;
            balance: components["schemas"]["ReturnBalance"] | null;
            signedWith: string | null;
            agent: string | null;
            handedTo: string | null;
            /** Format: date */
            laterDue: string | null;
            amendedBy: string;
            problems: components["schemas"]["ProblemDetail"][];
            events: components["schemas"]["FilingEventView"][];
            preparedBy: string;
            signedBy: string | null;
            submissionId: string | null;
            /** Format: date */
            refusableUntil: string | null;
            /** Format: uuid */
            documentId: string | null;
            delivery: string | null;
            isSnapshot: boolean;
        };
        EnteredAmount: {
            name: string;
            amount: number;
        };
        EnterAmounts: {
            version: number;
            amounts: components["schemas"]["EnteredAmount"][];
        };
        AnsweredQuestion: {
            name: string;
            answer: string;
        };
        AnswerQuestions: {
            version: number;
            answers: components["schemas"]["AnsweredQuestion"][];
        };
        PayWithReturn: {
            /** Format: uuid */
            bankAccountId: string;
            /** Format: date */
            on: string;
        };
        SignFiling: {
            version: number;
            pin: string;
            payment: components["schemas"]["PayWithReturn"] | null;
        };
        HandedOver: {
            version: number;
            /** Format: date */
            on: string;
        };
        TakeInWageFile: {
            fileName: string;
            content: string;
        };
        TakenInWageFile: {
            /** Format: uuid */
            id: string;
            year: number;
            statements: number;
            strangers: string[];
            stateRecords: number;
        };
        FiledBox: {
            box: string;
            amount: number;
        };
        FiledStatement: {
            /** Format: uuid */
            employeeId: string;
            boxes: components["schemas"]["FiledBox"][];
        };
        TypeFiledStatements: {
            year: number;
            source: string;
            statements: components["schemas"]["FiledStatement"][];
        };
        TypedBox: {
            box: string;
            filed: number;
            correct: number;
        };
        TypedBoxes: {
            /** Format: uuid */
            employeeId: string;
            name: string;
            boxes: components["schemas"]["TypedBox"][];
        };
        TypeBox: {
            box: string;
            correct: number;
        };
        TypeBoxes: {
            version: number;
            boxes: components["schemas"]["TypeBox"][];
        };
        W2CopiesPart: {
            part: number;
            from: string;
            to: string;
            people: number;
            isMade: boolean;
        };
        W2Copies: {
            total: number;
            parts: components["schemas"]["W2CopiesPart"][];
        };
        SaveSignature: {
            content: string;
            most: number | null;
        };
        PrintAgencyCheck: {
            /** Format: uuid */
            printerId?: string;
            number: number;
            /** @enum {string} */
            position: "top" | "middle" | "bottom";
        };
        NextCheckNumber: {
            /** Format: uuid */
            bankAccountId: string;
            label: string;
            next: number;
        };
        CheckPrinter: {
            name: string;
            right: string;
            down: string;
            /** Format: uuid */
            id: string;
        };
        SaveCheckPrinter: {
            name: string;
            right: string;
            down: string;
        };
        MicrTypefaceView: {
            name: string | null;
            size: string | null;
        };
        SaveMicrTypeface: {
            name: string;
            content: string;
        };
        MicrTest: {
            /** Format: date */
            testedOn: string | null;
        };
        ReadBankStatement: {
            /** Format: uuid */
            bankAccountId: string;
            fileName: string;
            content: string;
            isTaken: boolean;
        };
        StatementRow: {
            row: number;
            number: number;
            amount: number;
            /** Format: date */
            day: string;
            payee: string;
            ours: number | null;
            /** @enum {string} */
            outcome: "clears" | "cleared before" | "another amount" | "not ours" | "stopped" | "voided" | "spoiled" | "not said to be out";
        };
        StatementView: {
            rows: components["schemas"]["StatementRow"][];
            clears: number;
            amount: number;
            unread: string[];
            isTaken: boolean;
        };
        CheckToMake: {
            /** Format: uuid */
            paycheckId: string;
            /** Format: uuid */
            employeeId: string;
            number: string;
            name: string;
            amount: number;
        };
        CheckRow: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            clientId: string;
            /** Format: uuid */
            payrollId: string | null;
            /** Format: uuid */
            paycheckId: string | null;
            number: number;
            payee: string;
            amount: number;
            /** Format: date */
            checkDate: string;
            /** @enum {string} */
            status: "printed" | "issued" | "spoiled" | "voided" | "stopped" | "cleared";
            isHandwritten: boolean;
            hasImage: boolean;
            version: number;
            reason: string | null;
            bankAccount: string;
            /** Format: uuid */
            runId: string | null;
            /** Format: date */
            staleFrom: string | null;
        };
        PayrollChecks: {
            toMake: components["schemas"]["CheckToMake"][];
            checks: components["schemas"]["CheckRow"][];
            accounts: components["schemas"]["NextCheckNumber"][];
            /** @enum {string} */
            position: "top" | "middle" | "bottom";
        };
        PrintChecks: {
            /** Format: uuid */
            bankAccountId: string;
            /** Format: uuid */
            printerId?: string;
            firstNumber: number;
            paycheckIds: string[];
            /** @enum {string} */
            position: "top" | "middle" | "bottom";
        };
        RecordCheck: {
            /** Format: uuid */
            bankAccountId: string;
            number: number;
            /** Format: uuid */
            paycheckId: string;
        };
        RunOutcome: {
            spoiled: string[];
        };
        SpoilStock: {
            /** Format: uuid */
            bankAccountId: string;
            from: number;
            to: number;
            reason: string;
        };
        EndCheck: {
            version: number;
            /** @enum {string} */
            act: "void" | "stop";
            reason: string;
        };
        JobCostOfPeriod: {
            job: string;
            gross: number;
            employerTaxes: number;
            employerPaid: number;
            people: number;
        };
        TieOutDifferenceView: {
            from: string;
            to: string;
            amount: number;
            /** @enum {string} */
            cause: "rounding" | "void" | "to-fix";
            says: string;
        };
        PendingView: {
            amount: number;
            says: string;
        };
        TieOutRowView: {
            key: string;
            isShare: boolean;
            label: string;
            group: string;
            stations: {
                [key: string]: unknown;
            };
            differences: components["schemas"]["TieOutDifferenceView"][];
            pending: components["schemas"]["PendingView"] | null;
        };
        TieOutView: {
            year: number;
            quarter: number | null;
            rows: components["schemas"]["TieOutRowView"][];
        };
        LedgerEntryView: {
            id: string;
            tax: string;
            label: string;
            cause: string;
            /** Format: date */
            liabilityDate: string;
            /** Format: date */
            effectiveDate: string;
            employee: string | null;
            subject: number;
            wages: number;
            amount: number;
            /** Format: uuid */
            payrollId: string | null;
            /** Format: uuid */
            remittanceId: string | null;
        };
        JurisdictionRow: {
            code: string;
            name: string;
            parameters: number;
            verified: number;
            doubted: number;
        };
        RuleRow: {
            parameter: string;
            label: string;
            jurisdiction: string;
            /** Format: date */
            from: string;
            /** Format: date */
            until: string | null;
            value: string;
            publication: string;
            place: string;
            /** @enum {string} */
            standing: "verified" | "recalled";
            doubt: string | null;
        };
        RulePackRow: {
            /** Format: uuid */
            id: string;
            name: string;
            /** @enum {string} */
            status: "proposed" | "in-force" | "withdrawn";
            rules: number;
            places: number;
            preparedBy: string;
            acceptedBy: string | null;
            createdAt: string;
            version: number;
        };
        ProposeRulePack: {
            content: {
                [key: string]: unknown;
            };
        };
        RuleChangeRow: {
            parameter: string;
            label: string;
            /** Format: date */
            from: string;
            path: string;
            before: string;
            after: string;
        };
        RuleEffectRow: {
            /** Format: uuid */
            clientId: string;
            clientName: string;
            /** Format: date */
            checkDate: string;
            people: number;
            moved: number;
            netBefore: number | null;
            netAfter: number | null;
            employerBefore: number | null;
            employerAfter: number | null;
            note: string | null;
        };
        RulePackView: {
            /** Format: uuid */
            id: string;
            name: string;
            /** @enum {string} */
            status: "proposed" | "in-force" | "withdrawn";
            rules: number;
            places: number;
            preparedBy: string;
            acceptedBy: string | null;
            createdAt: string;
            version: number;
            changes: components["schemas"]["RuleChangeRow"][];
            effects: components["schemas"]["RuleEffectRow"][];
        };
        AuditVerification: {
            entries: number;
            brokenAt: number | null;
        };
        AuditRow: {
            seq: number;
            at: string;
            by: string;
            action: string;
            sentence: string;
            /** Format: uuid */
            clientId: string | null;
            client: string;
            detail: {
                [key: string]: unknown;
            };
        };
        AuditUser: {
            /** Format: uuid */
            id: string;
            name: string;
        };
        AuditPage: {
            rows: components["schemas"]["AuditRow"][];
            hasMore: boolean;
            about: string[];
            users: components["schemas"]["AuditUser"][];
        };
        MoveClock: {
            /** Format: date */
            today: string;
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
    SessionController_view: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SessionView"];
                };
            };
        };
    };
    SessionController_signIn: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SignIn"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SessionController_signOut: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FirmController_view: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirmView"];
                };
            };
        };
    };
    FirmController_update: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UpdateFirm"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirmView"];
                };
            };
        };
    };
    FirmController_secondPerson: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SwitchSecondPerson"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirmView"];
                };
            };
        };
    };
    FirmController_requireMarks: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RequireMarks"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirmView"];
                };
            };
        };
    };
    FirmController_agentPin: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AgentPin"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirmView"];
                };
            };
        };
    };
    FirmController_addDefault: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ClientFact"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirmView"];
                };
            };
        };
    };
    FirmController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["UserRow"][];
                };
            };
        };
    };
    FirmController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateUser"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["UserRow"][];
                };
            };
        };
    };
    FirmController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UpdateUser"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["UserRow"][];
                };
            };
        };
    };
    FirmController_signOut: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FirmController_offer: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SecondFactorOffer"];
                };
            };
        };
    };
    FirmController_confirm: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SecondFactorCode"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FirmController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SecondFactorCode"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FirmController_password: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangePassword"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    SearchController_find: {
        parameters: {
            query: {
                find: unknown;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Found"][];
                };
            };
        };
    };
    ReadinessController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadinessView"];
                };
            };
        };
    };
    ReadinessController_pass: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PassGap"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ReadinessController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["QuestionView"][];
                };
            };
        };
    };
    ReadinessController_ask: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskQuestions"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["QuestionView"][];
                };
            };
        };
    };
    ReadinessController_letter: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ReadinessController_answer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerQuestion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ReadinessController_accept: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ReadinessController_reopen: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ReadinessController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TrialsController_trial: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskTrial"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrialView"];
                };
            };
        };
    };
    TrialsController_crossings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CrossingView"][];
                };
            };
        };
    };
    TrialsController_proofs: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProofView"][];
                };
            };
        };
    };
    TrialsController_keep: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepProof"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    TrialsController_accept: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProofView"];
                };
            };
        };
    };
    TrialsController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PeopleFilesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportRow"][];
                };
            };
        };
    };
    PeopleFilesController_upload: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UploadPeople"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_csv: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PeopleFilesController_xlsx: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PeopleFilesController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_progress: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProgressView"];
                };
            };
        };
    };
    PeopleFilesController_map: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChooseMapping"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_heading: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChooseHeading"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_skip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SkipRow"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_cell: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CorrectCell"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_accept: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_undo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportView"];
                };
            };
        };
    };
    PeopleFilesController_discard: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TakeOversController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverRow"][];
                };
            };
        };
    };
    TakeOversController_create: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateTakeOver"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_csv: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TakeOversController_xlsx: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TakeOversController_upload: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UploadBalances"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_map: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChooseMapping"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_reported: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveReported"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_pass: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PassDifference"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_accept: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_takeBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeOverView"];
                };
            };
        };
    };
    TakeOversController_discard: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    NewHiresController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NewHireRow"][];
                };
            };
        };
    };
    NewHiresController_report: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReportNewHires"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NewHireFile"];
                };
            };
        };
    };
    LadderController_view: {
        parameters: {
            query?: {
                from?: string;
                to?: string;
                count?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LadderView"];
                };
            };
        };
    };
    PaydaysController_view: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PaydayView"];
                };
            };
        };
    };
    PaydaysController_start: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StartPayrolls"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StartedPayroll"][];
                };
            };
        };
    };
    DueDepositsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DueDepositView"];
                };
            };
        };
    };
    DueDepositsController_schedule: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ScheduleDeposits"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    DueDepositsController_approve: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PaymentsAtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    DueDepositsController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PaymentsAtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    DueDepositsController_release: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PaymentsAtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    DueReturnsController_view: {
        parameters: {
            query: {
                quarter: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DueReturnView"];
                };
            };
        };
    };
    DueReturnsController_acknowledged: {
        parameters: {
            query: {
                quarter: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    DueReturnsController_scheduleR: {
        parameters: {
            query: {
                quarter: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    DueReturnsController_begin: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BeginReturns"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    DueReturnsController_check: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReturnsAtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    DueReturnsController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReturnsAtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    DueReturnsController_release: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReturnsAtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    TransmissionsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TransmissionRow"][];
                };
            };
        };
    };
    TransmissionsController_file: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TransmissionsController_acknowledgements: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ClientsController_list: {
        parameters: {
            query?: {
                find?: string;
                from?: string;
                count?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClientList"];
                };
            };
        };
    };
    ClientsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateClient"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    ClientsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClientView"];
                };
            };
        };
    };
    ClientsController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ClientsController_update: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UpdateClientIdentity"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClientView"];
                };
            };
        };
    };
    ClientsController_addFact: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ClientFact"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    ClientsController_addTaxAccount: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateTaxAccount"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    ClientsController_addBankAccount: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateBankAccount"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    ContactsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ContactRow"][];
                };
            };
        };
    };
    ContactsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateContact"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ContactRow"][];
                };
            };
        };
    };
    ContactsController_open: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                contactId: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OpenContact"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ContactRow"][];
                };
            };
        };
    };
    ContactsController_home: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ContactHome"];
                };
            };
        };
    };
    ContactsController_sendHours: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SendHours"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ContactsController_approve: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ContactsController_answer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerQuestion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    EmployeesController_list: {
        parameters: {
            query?: {
                find?: string;
                from?: string;
                count?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EmployeeList"];
                };
            };
        };
    };
    EmployeesController_create: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateEmployee"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    EmployeesController_view: {
        parameters: {
            query?: {
                on?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EmployeeView"];
                };
            };
        };
    };
    EmployeesController_update: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UpdateEmployeeIdentity"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EmployeeView"];
                };
            };
        };
    };
    EmployeesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    EmployeesController_foreseeChanges: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ForeseeChanges"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ForeseenChange"][];
                };
            };
        };
    };
    EmployeesController_makeChanges: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MakeChanges"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ForeseenChange"][];
                };
            };
        };
    };
    EmployeesController_addFact: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddFact"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    EmployeesController_reveal: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RevealedNumber"];
                };
            };
        };
    };
    PayrollsController_reviewed: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReviewView"];
                };
            };
        };
    };
    PayrollsController_review: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReviewPayroll"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollView"];
                };
            };
        };
    };
    PayrollsController_sentHours: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClientHoursView"];
                };
            };
        };
    };
    PayrollsController_takeHours: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollView"];
                };
            };
        };
    };
    PayrollsController_hoursFile: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadHoursFile"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["HoursFileView"];
                };
            };
        };
    };
    PayrollsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollRow"][];
                };
            };
        };
    };
    PayrollsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreatePayroll"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    PayrollsController_recomputed: {
        parameters: {
            query: {
                year: unknown;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RecomputedView"];
                };
            };
        };
    };
    PayrollsController_suggest: {
        parameters: {
            query?: {
                schedule?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollSuggestion"];
                };
            };
        };
    };
    PayrollsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollView"];
                };
            };
        };
    };
    PayrollsController_save: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SavePayroll"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollView"];
                };
            };
        };
    };
    PayrollsController_keepColumns: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepSheetColumns"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PayrollsController_latest: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LatestPayroll"];
                };
            };
        };
    };
    PayrollsController_split: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SplitPayroll"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    PayrollsController_difference: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskDifference"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckDifference"];
                };
            };
        };
    };
    PayrollsController_payDifference: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PayDifference"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    PayrollsController_reopen: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollView"];
                };
            };
        };
    };
    PayrollsController_discard: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    PayrollsController_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PostPayroll"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollView"];
                };
            };
        };
    };
    PayrollsController_working: {
        parameters: {
            query: {
                figure: string;
            };
            header?: never;
            path: {
                id: string;
                employeeId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorkingView"];
                };
            };
        };
    };
    AgencyPaymentsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AgencyPaymentView"][];
                };
            };
        };
    };
    AgencyPaymentsController_save: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                agency: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveAgencyPayment"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AgencyPaymentView"];
                };
            };
        };
    };
    EnrollmentsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EnrollmentsView"];
                };
            };
        };
    };
    EnrollmentsController_ask: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskEnrollment"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EnrollmentsView"];
                };
            };
        };
    };
    EnrollmentsController_act: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EnrollmentAct"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EnrollmentsView"];
                };
            };
        };
    };
    JournalController_view: {
        parameters: {
            query: {
                to: unknown;
                from: unknown;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JournalView"];
                };
            };
        };
    };
    JournalController_export: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ExportJournal"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JournalView"];
                };
            };
        };
    };
    JournalController_file: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                file: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ReportsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReportListing"][];
                };
            };
        };
    };
    ReportsController_view: {
        parameters: {
            query: {
                totals?: unknown;
                page?: unknown;
                of?: unknown;
                in?: unknown;
                employee?: unknown;
                by?: unknown;
                to: unknown;
                from: unknown;
            };
            header?: never;
            path: {
                id: string;
                code: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReportView"];
                };
            };
        };
    };
    ReportsController_totals: {
        parameters: {
            query: {
                of?: unknown;
                in?: unknown;
                employee?: unknown;
                by?: unknown;
                to: unknown;
                from: unknown;
            };
            header?: never;
            path: {
                id: string;
                code: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReportTotals"];
                };
            };
        };
    };
    ReportsController_file: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                file: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    VoidsController_ofPayroll: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidsOfPayroll"];
                };
            };
        };
    };
    VoidsController_propose: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProposeVoid"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    VoidsController_preview: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskVoid"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidEffects"];
                };
            };
        };
    };
    VoidsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidView"];
                };
            };
        };
    };
    VoidsController_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidView"];
                };
            };
        };
    };
    VoidsController_payAgain: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PayAgain"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    VoidsController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidView"];
                };
            };
        };
    };
    RemittancesController_deposits: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DepositView"][];
                };
            };
        };
    };
    RemittancesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceRow"][];
                };
            };
        };
    };
    RemittancesController_plan: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlanRemittance"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    RemittancesController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceView"];
                };
            };
        };
    };
    RemittancesController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    RemittancesController_approve: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceView"];
                };
            };
        };
    };
    RemittancesController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceView"];
                };
            };
        };
    };
    RemittancesController_record: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RecordPaid"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceView"];
                };
            };
        };
    };
    RemittancesController_unrecord: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["UnrecordPaid"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceView"];
                };
            };
        };
    };
    RemittancesController_release: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RemittanceView"];
                };
            };
        };
    };
    LettersController_taxes: {
        parameters: {
            query: {
                to: unknown;
                from: unknown;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LettersController_ownTaxes: {
        parameters: {
            query: {
                to: unknown;
                from: unknown;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LettersController_pay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LettersController_cameBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LettersController_ownCameBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CorrectionCasesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CaseRow"][];
                };
            };
        };
    };
    CorrectionCasesController_open: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OpenCase"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    CorrectionCasesController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CorrectionCase"];
                };
            };
        };
    };
    CorrectionCasesController_add: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddConsequence"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CorrectionCase"];
                };
            };
        };
    };
    CorrectionCasesController_settle: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                consequenceId: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SettleConsequence"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CorrectionCase"];
                };
            };
        };
    };
    CorrectionCasesController_close: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MoveCase"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CorrectionCase"];
                };
            };
        };
    };
    CorrectionCasesController_reopen: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MoveCase"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CorrectionCase"];
                };
            };
        };
    };
    CorrectionCasesController_letter: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    NoticesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NoticesView"];
                };
            };
        };
    };
    NoticesController_record: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RecordNotice"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    NoticesController_answer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerNotice"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NoticeView"];
                };
            };
        };
    };
    NoticesController_close: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MoveNotice"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NoticeView"];
                };
            };
        };
    };
    NoticesController_reopen: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MoveNotice"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NoticeView"];
                };
            };
        };
    };
    NoticesController_letter: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    GarnishmentPaymentsController_payees: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentPayeeView"][];
                };
            };
        };
    };
    GarnishmentPaymentsController_savePayee: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveGarnishmentPayee"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentPayeeView"][];
                };
            };
        };
    };
    GarnishmentPaymentsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentsView"];
                };
            };
        };
    };
    GarnishmentPaymentsController_plan: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlanGarnishmentPayment"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    GarnishmentPaymentsController_one: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentPaymentView"];
                };
            };
        };
    };
    GarnishmentPaymentsController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    GarnishmentPaymentsController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GarnishmentPaymentAct"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentPaymentView"];
                };
            };
        };
    };
    GarnishmentPaymentsController_release: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GarnishmentPaymentAct"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentPaymentView"];
                };
            };
        };
    };
    GarnishmentPaymentsController_record: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RecordGarnishmentPaid"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GarnishmentPaymentView"];
                };
            };
        };
    };
    OwnPayController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EmployeeSignIn"];
                };
            };
        };
    };
    OwnPayController_open: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OpenSignIn"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EmployeeSignIn"];
                };
            };
        };
    };
    OwnPayController_invite: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["InviteEmployee"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvitedEmployee"];
                };
            };
        };
    };
    OwnPayController_welcome: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WelcomeView"];
                };
            };
        };
    };
    OwnPayController_setPassword: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                token: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SetFirstPassword"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    OwnPayController_home: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnPay"];
                };
            };
        };
    };
    OwnPayController_consent: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GiveConsent"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnPay"];
                };
            };
        };
    };
    OwnPayController_statement: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    OwnPayController_wageStatement: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    AttachmentsController_list: {
        parameters: {
            query: {
                id: string;
                subject: unknown;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AttachmentRow"][];
                };
            };
        };
    };
    AttachmentsController_add: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AddAttachment"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AttachmentRow"][];
                };
            };
        };
    };
    AttachmentsController_open: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    InvoicesController_month: {
        parameters: {
            query: {
                month: unknown;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvoicesOfMonth"];
                };
            };
        };
    };
    InvoicesController_issue: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["IssueInvoices"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    InvoicesController_pdf: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    InvoicesController_pay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["InvoicePaid"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvoiceView"];
                };
            };
        };
    };
    InvoicesController_unpay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["InvoiceReason"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvoiceView"];
                };
            };
        };
    };
    InvoicesController_void: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["InvoiceReason"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvoiceView"];
                };
            };
        };
    };
    CalendarFeedsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CalendarFeedRow"][];
                };
            };
        };
    };
    CalendarFeedsController_make: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MakeCalendarFeed"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MadeCalendarFeed"];
                };
            };
        };
    };
    CalendarFeedsController_end: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CalendarFeedRow"][];
                };
            };
        };
    };
    CalendarFeedsController_file: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TrustController_view: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrustView"];
                };
            };
        };
    };
    TrustController_account: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveTrustAccount"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrustView"];
                };
            };
        };
    };
    TrustController_entries: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrustEntryView"][];
                };
            };
        };
    };
    TrustController_record: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RecordTrustEntry"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    TrustController_reverse: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReverseTrustEntry"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    TrustController_advance: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AdvanceFunds"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    TrustController_statement: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadTrustStatement"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrustStatementView"];
                };
            };
        };
    };
    TrustController_fetchStatement: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrustStatementView"];
                };
            };
        };
    };
    TrustController_match: {
        parameters: {
            query: {
                day: unknown;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MatchLine"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReconciliationView"];
                };
            };
        };
    };
    TrustController_reconciliation: {
        parameters: {
            query: {
                day: unknown;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReconciliationView"];
                };
            };
        };
    };
    TrustController_keep: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepReconciliation"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReconciliationView"];
                };
            };
        };
    };
    TrustController_report: {
        parameters: {
            query: {
                day: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    CollectionsController_funds: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FundsView"];
                };
            };
        };
    };
    CollectionsController_plan: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlanCollection"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    CollectionsController_prenote: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    CollectionsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionView"];
                };
            };
        };
    };
    CollectionsController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    CollectionsController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CollectionAct"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionView"];
                };
            };
        };
    };
    CollectionsController_release: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CollectionAct"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CollectionView"];
                };
            };
        };
    };
    CollectionsController_retry: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    DirectDepositsController_pay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollPay"];
                };
            };
        };
    };
    DirectDepositsController_planPay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlanDirectDeposit"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollPay"];
                };
            };
        };
    };
    DirectDepositsController_planAgain: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollPay"];
                };
            };
        };
    };
    DirectDepositsController_prenotes: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PrenoteView"];
                };
            };
        };
    };
    DirectDepositsController_planPrenotes: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlanDirectDeposit"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PrenoteView"];
                };
            };
        };
    };
    DirectDepositsController_accountChanges: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AccountChangeView"][];
                };
            };
        };
    };
    DirectDepositsController_decideChange: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DecideAccountChange"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AccountChangeView"][];
                };
            };
        };
    };
    DirectDepositsController_reversal: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidReversal"];
                };
            };
        };
    };
    DirectDepositsController_planReversal: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["VoidReversal"];
                };
            };
        };
    };
    DirectDepositsController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    DirectDepositsController_release: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DirectDepositRow"];
                };
            };
        };
    };
    DirectDepositsController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DirectDepositRow"];
                };
            };
        };
    };
    FilingsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingRow"][];
                };
            };
        };
    };
    FilingsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CreateFiling"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    FilingsController_owed: {
        parameters: {
            query: {
                year: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FormOwed"][];
                };
            };
        };
    };
    FilingsController_duty: {
        parameters: {
            query: {
                year: number;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EfileDuty"];
                };
            };
        };
    };
    FilingsController_toCorrect: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CorrectionDue"][];
                };
            };
        };
    };
    FilingsController_beginCorrections: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoneOfMany"][];
                };
            };
        };
    };
    FilingsController_workingPapers: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorkingPapersView"];
                };
            };
        };
    };
    FilingsController_mark: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MakeMark"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorkingPapersView"];
                };
            };
        };
    };
    FilingsController_clearMark: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ClearMark"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorkingPapersView"];
                };
            };
        };
    };
    FilingsController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_slip: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReleaseSlip"];
                };
            };
        };
    };
    FilingsController_enter: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EnterAmounts"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_answer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerQuestions"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_check: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_reopen: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_discard: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_sign: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SignFiling"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_release: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_hand: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["HandedOver"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_paper: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_agent: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_authorization: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_takeIn: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeInWageFile"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenInWageFile"];
                };
            };
        };
    };
    FilingsController_typeFiled: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypeFiledStatements"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenInWageFile"];
                };
            };
        };
    };
    FilingsController_boxes: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                employeeId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TypedBoxes"];
                };
            };
        };
    };
    FilingsController_typeBoxes: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                employeeId: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypeBoxes"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FilingView"];
                };
            };
        };
    };
    FilingsController_payments: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DepositView"][];
                };
            };
        };
    };
    FilingsController_w2s: {
        parameters: {
            query?: {
                find?: string;
                from?: string;
                count?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["W2Page"];
                };
            };
        };
    };
    FilingsController_copies: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["W2Copies"];
                };
            };
        };
    };
    FilingsController_makeCopies: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["W2Copies"];
                };
            };
        };
    };
    FilingsController_copiesPart: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                part: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_w2: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                employeeId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_w2c: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
                employeeId: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    FilingsController_file: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_saveSignature: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveSignature"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_removeSignature: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_printAgencyCheck: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PrintAgencyCheck"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    ChecksController_nextNumbers: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NextCheckNumber"][];
                };
            };
        };
    };
    ChecksController_printerList: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckPrinter"][];
                };
            };
        };
    };
    ChecksController_addPrinter: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveCheckPrinter"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckPrinter"][];
                };
            };
        };
    };
    ChecksController_savePrinter: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveCheckPrinter"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckPrinter"][];
                };
            };
        };
    };
    ChecksController_removePrinter: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckPrinter"][];
                };
            };
        };
    };
    ChecksController_typeface: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MicrTypefaceView"];
                };
            };
        };
    };
    ChecksController_saveTypeface: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveMicrTypeface"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MicrTypefaceView"];
                };
            };
        };
    };
    ChecksController_removeTypeface: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MicrTypefaceView"];
                };
            };
        };
    };
    ChecksController_micrTest: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MicrTest"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_statement: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadBankStatement"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StatementView"];
                };
            };
        };
    };
    ChecksController_positivePay: {
        parameters: {
            query: {
                to: unknown;
                from: unknown;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_sample: {
        parameters: {
            query: {
                layout: "top" | "middle" | "bottom";
                printer?: unknown;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_ofPayroll: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollChecks"];
                };
            };
        };
    };
    ChecksController_print: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PrintChecks"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollChecks"];
                };
            };
        };
    };
    ChecksController_handwritten: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RecordCheck"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PayrollChecks"];
                };
            };
        };
    };
    ChecksController_payStatements: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_run: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                file: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    ChecksController_outcome: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RunOutcome"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckRow"][];
                };
            };
        };
    };
    ChecksController_list: {
        parameters: {
            query?: {
                words?: string;
                status?: "printed" | "issued" | "spoiled" | "voided" | "stopped" | "cleared";
                from?: string;
                to?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckRow"][];
                };
            };
        };
    };
    ChecksController_spoil: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SpoilStock"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckRow"][];
                };
            };
        };
    };
    ChecksController_end: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EndCheck"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckRow"];
                };
            };
        };
    };
    ChecksController_reprint: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    JobCostsController_of: {
        parameters: {
            query: {
                year: number;
                quarter?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobCostOfPeriod"][];
                };
            };
        };
    };
    TieOutController_view: {
        parameters: {
            query: {
                year: number;
                quarter?: string;
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TieOutView"];
                };
            };
        };
    };
    TieOutController_entries: {
        parameters: {
            query: {
                year: number;
                group: string;
                quarter?: string;
                of?: "liabilities" | "payments";
            };
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LedgerEntryView"][];
                };
            };
        };
    };
    RulesController_jurisdictions: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JurisdictionRow"][];
                };
            };
        };
    };
    RulesController_rows: {
        parameters: {
            query: {
                jurisdiction: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RuleRow"][];
                };
            };
        };
    };
    RulesController_exported: {
        parameters: {
            query: {
                prefix: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    RulesController_carried: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                year: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    RulesController_packs: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulePackRow"][];
                };
            };
        };
    };
    RulesController_propose: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProposeRulePack"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Accepted"];
                };
            };
        };
    };
    RulesController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulePackView"];
                };
            };
        };
    };
    RulesController_accept: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulePackView"];
                };
            };
        };
    };
    RulesController_withdraw: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtVersion"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulePackView"];
                };
            };
        };
    };
    AuditController_verify: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AuditVerification"];
                };
            };
        };
    };
    AuditController_page: {
        parameters: {
            query?: {
                client?: string;
                employee?: string;
                user?: string;
                about?: string;
                from?: string;
                to?: string;
                before?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AuditPage"];
                };
            };
        };
    };
    ClockController_move: {
        parameters: {
            query?: never;
            header: {
                "x-clock-token": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MoveClock"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
}
